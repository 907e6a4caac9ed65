-- A school can set rules at every layer, under conditions and from a day on, keep ready-made sets, and try a change as a draft.
-- A place is 'school', 'year:7', 'class:…', 'lesson:…' or 'set:…'. A setting that something else took over from is ended,
-- never overwritten; one that was taken back before it began has until = since.
CREATE TABLE rule_setting (
    id        INTEGER PRIMARY KEY,
    place     TEXT NOT NULL CHECK (place <> ''),
    rule      TEXT NOT NULL,
    value     TEXT NOT NULL,
    role      TEXT NOT NULL,
    binding   INTEGER NOT NULL CHECK (binding IN (0, 1)),
    condition TEXT NOT NULL DEFAULT '',
    note      TEXT NOT NULL DEFAULT '',
    set_by    TEXT NOT NULL,
    set_at    INTEGER NOT NULL,
    since     INTEGER NOT NULL,
    until     INTEGER NOT NULL CHECK (until >= since),
    ended_by  TEXT NOT NULL DEFAULT '',
    ended_at  INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX rule_setting_by_place ON rule_setting (place, rule, role, condition);
INSERT INTO rule_setting (id, place, rule, value, role, binding, set_by, set_at, since, until)
SELECT id, CASE class WHEN '' THEN 'school' ELSE 'class:' || class END, rule, value, role, binding, set_by, since, since, until
FROM setting ORDER BY id;
DROP TABLE setting;
CREATE TABLE ready_made (
    id      TEXT PRIMARY KEY,
    name    TEXT NOT NULL UNIQUE,
    purpose TEXT NOT NULL,
    owner   TEXT NOT NULL DEFAULT '',
    deleted INTEGER NOT NULL DEFAULT 0
);
-- A class uses a set by reference; uses are ended, never deleted, so that the past is judged by the rules of its day.
CREATE TABLE set_use (
    id      INTEGER PRIMARY KEY,
    class   TEXT NOT NULL REFERENCES class (id),
    set_id  TEXT NOT NULL REFERENCES ready_made (id),
    since   INTEGER NOT NULL,
    until   INTEGER NOT NULL CHECK (until >= since),
    used_by TEXT NOT NULL
);
CREATE INDEX set_use_by_class ON set_use (class);
-- What somebody means to change, before it counts.
CREATE TABLE rule_draft (
    owner TEXT NOT NULL,
    place TEXT NOT NULL,
    edits TEXT NOT NULL,
    PRIMARY KEY (owner, place)
);
-- What is planned to be so at some time in a lesson: 'recording', 'in-groups'. Visitors are invited by name.
ALTER TABLE lesson ADD COLUMN expected TEXT NOT NULL DEFAULT '';
CREATE TABLE lesson_visitor (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    person TEXT NOT NULL,
    name   TEXT NOT NULL CHECK (name <> ''),
    PRIMARY KEY (lesson, person)
);
