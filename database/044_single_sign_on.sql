-- Whether those whom a roster knows sign in with the installation's identity provider: not, beside their password or PIN,
-- or instead of it.
ALTER TABLE school ADD single_sign_on ENUM ('off', 'beside', 'instead') NOT NULL DEFAULT 'off';
