-- A school's accounts last for years, its doors know who left, and what is lost can be brought back.
ALTER TABLE school ADD COLUMN demo INTEGER NOT NULL DEFAULT 0 CHECK (demo IN (0, 1));
-- When an account ends; null: not yet known.
ALTER TABLE person ADD COLUMN account_ends INTEGER;
-- A code that counts once, until when; then a password of one's own is chosen. 0: the password is one's own.
ALTER TABLE person ADD COLUMN code_until INTEGER NOT NULL DEFAULT 0;
-- The second factor (RFC 6238): a secret once it is confirmed, and the last step of time whose code was used.
ALTER TABLE person ADD COLUMN factor BLOB;
ALTER TABLE person ADD COLUMN factor_step INTEGER NOT NULL DEFAULT 0;
CREATE TABLE recovery_code (
    person TEXT NOT NULL REFERENCES person (id),
    hash   TEXT NOT NULL,
    PRIMARY KEY (person, hash)
);
ALTER TABLE session ADD COLUMN began INTEGER NOT NULL DEFAULT 0;
ALTER TABLE session ADD COLUMN browser TEXT NOT NULL DEFAULT '';
-- Devices that came with the right word or password before: no stranger's tries shut them out.
CREATE TABLE known_device (
    subject TEXT NOT NULL,
    device  TEXT NOT NULL,
    at      INTEGER NOT NULL,
    PRIMARY KEY (subject, device)
);
-- Who looked at what about whom, and who signed in; never what was seen.
CREATE TABLE access_entry (
    number  INTEGER PRIMARY KEY,
    at      INTEGER NOT NULL,
    kind    TEXT NOT NULL,
    who     TEXT NOT NULL,
    about   TEXT NOT NULL,
    place   TEXT NOT NULL,
    address TEXT NOT NULL
);
CREATE INDEX access_entry_by_time ON access_entry (at);
CREATE INDEX access_entry_by_about ON access_entry (about, at);
-- Trusted pupils: of a class, or of one lesson where it is not empty, until a moment.
CREATE TABLE class_monitor (
    class  TEXT NOT NULL REFERENCES class (id),
    lesson TEXT NOT NULL DEFAULT '',
    person TEXT NOT NULL REFERENCES person (id),
    since  INTEGER NOT NULL,
    until  INTEGER NOT NULL,
    by     TEXT NOT NULL,
    PRIMARY KEY (class, lesson, person, since)
);
-- Who leads a class was changed: by whom, and why.
CREATE TABLE lead_change (
    class  TEXT NOT NULL REFERENCES class (id),
    leads  TEXT NOT NULL,
    before TEXT NOT NULL,
    by     TEXT NOT NULL,
    why    TEXT NOT NULL,
    at     INTEGER NOT NULL
);
-- What an invitation is about no longer depends on the address of the program.
UPDATE message SET about = substr(about, 1, instr(about, 'http') - 1) || substr(about, instr(about, '/join/'))
WHERE kind = 'INVITATION' AND instr(about, 'http') > 0 AND instr(about, '/join/') > 0;
