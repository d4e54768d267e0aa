-- Probes that were answered on paper: their form, who marked them, and no answers but whether each was right.

ALTER TABLE sitting
	-- The letter of the form.
	ADD COLUMN paper_form CHAR(1) NULL AFTER level_place,
	ADD COLUMN entered_by INT UNSIGNED NULL AFTER paper_form,
	ADD CONSTRAINT paper_form CHECK (paper_form IS NULL OR (paper_form BETWEEN 'A' AND 'T' AND plan_id IS NOT NULL)),
	ADD CONSTRAINT entered_by CHECK (paper_form IS NULL = (entered_by IS NULL)),
	ADD FOREIGN KEY (entered_by) REFERENCES account (id);
