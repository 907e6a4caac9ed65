-- The school's ladder, steps that were taken, and incidents.

-- The ladder as it was written, at the school ("school") or for a year ("year:8"): JSON (server: ladder/Ladders). Ended, never overwritten.
CREATE TABLE ladder (
    place TEXT NOT NULL,
    since INTEGER NOT NULL,
    until INTEGER NOT NULL,
    body  TEXT NOT NULL,
    by    TEXT NOT NULL,
    PRIMARY KEY (place, since)
) WITHOUT ROWID;

-- Who is the head of a year.
CREATE TABLE year_head (
    year   INTEGER NOT NULL,
    person TEXT NOT NULL REFERENCES person (id),
    PRIMARY KEY (year, person)
) WITHOUT ROWID;

-- Steps against pupils, worked out from the records of lessons in the same transaction as their events.
CREATE TABLE step_taken (
    lesson    TEXT NOT NULL REFERENCES lesson (id),
    number    INTEGER NOT NULL,
    person    TEXT NOT NULL,
    act       TEXT NOT NULL,
    step      TEXT NOT NULL,
    name      TEXT NOT NULL,
    level     INTEGER NOT NULL,
    proposed  INTEGER NOT NULL,
    -- Whether it put the pupil out of the lesson.
    outside   INTEGER NOT NULL CHECK (outside IN (0, 1)),
    counts    INTEGER NOT NULL,
    by        TEXT NOT NULL,
    at        INTEGER NOT NULL,
    withdrawn INTEGER NOT NULL DEFAULT 0 CHECK (withdrawn IN (0, 1)),
    PRIMARY KEY (lesson, number, person)
) WITHOUT ROWID;
CREATE INDEX step_taken_by_time ON step_taken (at);
CREATE INDEX step_taken_by_person ON step_taken (person, at);

-- Events of lessons of which the casebook has still to take notice.
CREATE TABLE case_due (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    number INTEGER NOT NULL,
    PRIMARY KEY (lesson, number)
) WITHOUT ROWID;

-- Incidents are their events, chained as those of lessons are: the hash goes over number, kind and the hash of the body.
CREATE TABLE incident_event (
    incident  INTEGER NOT NULL,
    number    INTEGER NOT NULL CHECK (number >= 1),
    kind      TEXT NOT NULL,
    body      TEXT,
    salt      BLOB,
    body_hash BLOB NOT NULL,
    hash      BLOB NOT NULL,
    PRIMARY KEY (incident, number)
) WITHOUT ROWID;
CREATE TABLE incident_anchor (
    incident INTEGER PRIMARY KEY,
    number   INTEGER NOT NULL,
    hash     BLOB NOT NULL,
    mac      BLOB NOT NULL
);
-- How many incidents and events there are, so that a whole incident that was taken out is found.
CREATE TABLE incident_total (
    only_one  INTEGER PRIMARY KEY CHECK (only_one = 1),
    incidents INTEGER NOT NULL,
    events    INTEGER NOT NULL,
    mac       BLOB NOT NULL
);

-- What lists, patterns and searches ask, worked out from the events in the same transaction.
CREATE TABLE incident (
    id        INTEGER PRIMARY KEY,
    title     TEXT NOT NULL,
    act       TEXT NOT NULL,
    act_name  TEXT NOT NULL,
    severity  TEXT NOT NULL,
    origin    TEXT NOT NULL,
    lead_only INTEGER NOT NULL CHECK (lead_only IN (0, 1)),
    lesson    TEXT,
    class     TEXT,
    year      INTEGER NOT NULL,
    moment    INTEGER NOT NULL,
    opened    INTEGER NOT NULL,
    changed   INTEGER NOT NULL,
    closed    INTEGER,
    merged    INTEGER,
    highest   INTEGER NOT NULL
);
CREATE INDEX incident_by_moment ON incident (moment);
CREATE INDEX incident_by_lesson ON incident (lesson);
-- part: what somebody had to do with it, or KEPT_FROM for who reads nothing of it.
CREATE TABLE incident_person (
    incident INTEGER NOT NULL,
    person   TEXT NOT NULL,
    part     TEXT NOT NULL,
    PRIMARY KEY (incident, person)
) WITHOUT ROWID;
CREATE INDEX incident_person_by_person ON incident_person (person);
CREATE TABLE incident_follow_up (
    incident INTEGER NOT NULL,
    number   INTEGER NOT NULL,
    who      TEXT NOT NULL,
    what     TEXT NOT NULL,
    until    TEXT NOT NULL,
    done     INTEGER NOT NULL CHECK (done IN (0, 1)),
    PRIMARY KEY (incident, number)
) WITHOUT ROWID;
CREATE INDEX incident_follow_up_open ON incident_follow_up (who, until) WHERE done = 0;
-- Steps by the adult who took them, and what was proposed.
CREATE TABLE incident_step (
    incident INTEGER NOT NULL,
    lesson   TEXT NOT NULL,
    number   INTEGER NOT NULL,
    person   TEXT NOT NULL,
    act      TEXT NOT NULL,
    step     TEXT NOT NULL,
    name     TEXT NOT NULL,
    level    INTEGER NOT NULL,
    proposed INTEGER NOT NULL,
    -- Whether it put the pupil out of the lesson.
    outside  INTEGER NOT NULL CHECK (outside IN (0, 1)),
    by       TEXT NOT NULL,
    at       INTEGER NOT NULL,
    PRIMARY KEY (incident, lesson, number, person)
) WITHOUT ROWID;
CREATE INDEX incident_step_by_lesson ON incident_step (lesson, number);
-- Letters to parents that go out by the outbox.
CREATE TABLE incident_letter (
    incident INTEGER NOT NULL,
    number   INTEGER NOT NULL,
    pupil    TEXT NOT NULL,
    text     TEXT NOT NULL,
    sent     INTEGER NOT NULL CHECK (sent IN (0, 1)),
    PRIMARY KEY (incident, number)
) WITHOUT ROWID;
CREATE INDEX incident_letter_waiting ON incident_letter (incident) WHERE sent = 0;
-- Pupils who are not let into lessons of a class until somebody has talked.
CREATE TABLE series_out (
    incident INTEGER NOT NULL,
    class    TEXT NOT NULL,
    person   TEXT NOT NULL,
    PRIMARY KEY (incident, class, person)
) WITHOUT ROWID;
CREATE INDEX series_out_by_class ON series_out (class);
CREATE INDEX access_entry_by_place ON access_entry (place);
-- Titles, names, words and notes, to be searched; notes for safeguarding leads apart.
CREATE VIRTUAL TABLE incident_words USING fts5 (open, leads, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
