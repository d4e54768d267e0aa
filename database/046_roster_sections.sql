-- Rosters bring sections as well: the words by which their classes are known, as a JSON list.

ALTER TABLE roster_rule ADD COLUMN sections VARCHAR(1000) NOT NULL DEFAULT '[]';
