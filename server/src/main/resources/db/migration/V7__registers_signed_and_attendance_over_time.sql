-- A register is signed by an adult and opened again with a reason; attendance is kept for every lesson that was held.
CREATE TABLE register_signed (
    id          INTEGER PRIMARY KEY,
    lesson      TEXT NOT NULL REFERENCES lesson (id),
    by          TEXT NOT NULL,
    at          INTEGER NOT NULL,
    reopened_by TEXT NOT NULL DEFAULT '',
    reopened_at INTEGER NOT NULL DEFAULT 0,
    reason      TEXT NOT NULL DEFAULT ''
);
CREATE INDEX register_signed_by_lesson ON register_signed (lesson);
-- Short numbers for lessons and people, so that a year of attendance is small and lies in the order in which it is read.
CREATE TABLE attendance_number (
    number INTEGER PRIMARY KEY,
    kind   TEXT NOT NULL CHECK (kind IN ('LESSON', 'PERSON')),
    id     TEXT NOT NULL,
    UNIQUE (kind, id)
);
-- What stands in the register about one pupil in one lesson, packed (core: Attended). Worked out again whenever it changes.
CREATE TABLE attendance (
    person INTEGER NOT NULL,
    lesson INTEGER NOT NULL,
    packed INTEGER NOT NULL,
    PRIMARY KEY (person, lesson)
) WITHOUT ROWID;
CREATE INDEX attendance_by_lesson ON attendance (lesson, person, packed);
