-- The school's own codes for marks, what it wants to hear of, what it said of other services' logs; how lessons kept to their plan.
ALTER TABLE class ADD COLUMN subject TEXT NOT NULL DEFAULT '';
CREATE TABLE register_code (
    place   INTEGER PRIMARY KEY,
    code    TEXT NOT NULL UNIQUE,
    meaning TEXT NOT NULL,
    mark    TEXT NOT NULL
);
-- The code as it was written; codes that the school changes later do not change what stands in a register.
ALTER TABLE correction ADD COLUMN code TEXT NOT NULL DEFAULT '';
CREATE TABLE attention_threshold (
    only_one      INTEGER PRIMARY KEY CHECK (only_one = 1),
    in_a_row      INTEGER NOT NULL,
    below_percent INTEGER NOT NULL,
    drop_points   INTEGER NOT NULL,
    late_times    INTEGER NOT NULL
);
-- Which column of a log is what, as a person said of a file with the same headings. Counted from 0, -1 for none.
CREATE TABLE log_columns (
    likeness TEXT PRIMARY KEY,
    name     INTEGER NOT NULL,
    joined   INTEGER NOT NULL,
    leaves   INTEGER NOT NULL,
    minutes  INTEGER NOT NULL,
    said_by  TEXT NOT NULL,
    said_at  INTEGER NOT NULL
);
-- How a lesson that is over kept to its plan, worked out once from its events (core: Departure).
CREATE TABLE lesson_kept (
    lesson  TEXT PRIMARY KEY REFERENCES lesson (id),
    seconds INTEGER NOT NULL,
    alone   INTEGER NOT NULL
);
CREATE TABLE departure (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    kind   TEXT NOT NULL,
    rule   TEXT NOT NULL,
    value  TEXT NOT NULL,
    person TEXT NOT NULL,
    by     TEXT NOT NULL,
    starts INTEGER NOT NULL,
    ends   INTEGER NOT NULL
);
CREATE INDEX departure_by_lesson ON departure (lesson);
-- Lessons that are over are looked for every few seconds; without it all events of the school would be read for that.
CREATE INDEX lesson_event_dismissed ON lesson_event (lesson) WHERE kind = 'Dismissed';
