-- A school can keep its calendar, change and cover single lessons with who and why, undo that, and accept what was found.
CREATE TABLE calendar_days (
    id    INTEGER PRIMARY KEY,
    kind  TEXT NOT NULL CHECK (kind IN ('TERM', 'HOLIDAY')),
    name  TEXT NOT NULL CHECK (name <> ''),
    first TEXT NOT NULL,
    last  TEXT NOT NULL CHECK (last >= first)
);
CREATE TABLE calendar_hours (
    only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
    days     TEXT NOT NULL,
    opens    TEXT NOT NULL,
    closes   TEXT NOT NULL CHECK (closes > opens)
);
-- A series as it was written (RFC 5545, local time); its lessons keep the slot they have in it, wherever they are moved.
CREATE TABLE series (
    id      TEXT PRIMARY KEY,
    class   TEXT NOT NULL REFERENCES class (id),
    first   TEXT NOT NULL,
    minutes INTEGER NOT NULL,
    zone    TEXT NOT NULL,
    rule    TEXT NOT NULL,
    made_by TEXT NOT NULL,
    made_at INTEGER NOT NULL
);
ALTER TABLE lesson ADD COLUMN series TEXT NOT NULL DEFAULT '';
ALTER TABLE lesson ADD COLUMN slot TEXT NOT NULL DEFAULT '';
ALTER TABLE lesson ADD COLUMN cancelled INTEGER NOT NULL DEFAULT 0;
-- One deliberate change of the plan, of one lesson or many; undone as a whole.
CREATE TABLE plan_change (
    id        TEXT PRIMARY KEY,
    what      TEXT NOT NULL,
    why       TEXT NOT NULL,
    made_by   TEXT NOT NULL,
    made_at   INTEGER NOT NULL,
    undone_by TEXT NOT NULL DEFAULT '',
    undone_at INTEGER NOT NULL DEFAULT 0
);
-- What a lesson was before and is after a change; an undo is refused once somebody has changed it again.
CREATE TABLE lesson_change (
    change           TEXT NOT NULL REFERENCES plan_change (id),
    lesson           TEXT NOT NULL REFERENCES lesson (id),
    starts_before    INTEGER NOT NULL,
    ends_before      INTEGER NOT NULL,
    cancelled_before INTEGER NOT NULL,
    starts_after     INTEGER NOT NULL,
    ends_after       INTEGER NOT NULL,
    cancelled_after  INTEGER NOT NULL,
    PRIMARY KEY (change, lesson)
) WITHOUT ROWID;
CREATE INDEX lesson_change_by_lesson ON lesson_change (lesson);
-- Who is in charge of one lesson only; ended, never deleted, so that a register is judged by who was there.
CREATE TABLE lesson_cover (
    id         INTEGER PRIMARY KEY,
    change     TEXT NOT NULL REFERENCES plan_change (id),
    lesson     TEXT NOT NULL REFERENCES lesson (id),
    adult      TEXT NOT NULL REFERENCES person (id),
    instead_of TEXT NOT NULL DEFAULT '',
    until      INTEGER NOT NULL,
    ended_at   INTEGER NOT NULL DEFAULT 0,
    ended_by   TEXT NOT NULL DEFAULT '' -- the change that ended it
);
CREATE INDEX lesson_cover_by_lesson ON lesson_cover (lesson);
CREATE INDEX lesson_cover_by_adult ON lesson_cover (adult);
-- A weak spot that somebody knows of and answers for, until a day.
CREATE TABLE accepted_finding (
    id    INTEGER PRIMARY KEY,
    key   TEXT NOT NULL,
    why   TEXT NOT NULL CHECK (why <> ''),
    until TEXT NOT NULL,
    by    TEXT NOT NULL,
    at    INTEGER NOT NULL,
    ended_at INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX accepted_finding_by_key ON accepted_finding (key);
-- How many weak spots there were at the end of each day that somebody looked, for the trend.
CREATE TABLE inspection_day (
    day       TEXT PRIMARY KEY,
    dangers   INTEGER NOT NULL,
    weak      INTEGER NOT NULL,
    notes     INTEGER NOT NULL
);
