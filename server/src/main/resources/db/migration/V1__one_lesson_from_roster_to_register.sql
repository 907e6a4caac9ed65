-- A school can keep its people, classes, rules, lessons and registers. Times are milliseconds since 1970, UTC.
CREATE TABLE school (
    only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
    name     TEXT NOT NULL,
    zone     TEXT NOT NULL,
    link_key BLOB NOT NULL CHECK (length(link_key) >= 32)
);
CREATE TABLE person (
    id       TEXT PRIMARY KEY,
    name     TEXT NOT NULL CHECK (name <> ''),
    position TEXT NOT NULL CHECK (position IN ('LEAD', 'TEACHER', 'PUPIL')),
    number   TEXT NOT NULL DEFAULT '',
    year     INTEGER,
    sign_in  TEXT UNIQUE,
    password TEXT
);
CREATE TABLE session (
    token_hash TEXT PRIMARY KEY,
    person     TEXT NOT NULL REFERENCES person (id),
    expires    INTEGER NOT NULL
);
CREATE TABLE class (
    id          TEXT PRIMARY KEY,
    title       TEXT NOT NULL UNIQUE,
    year        INTEGER,
    link_number INTEGER NOT NULL UNIQUE,
    renewal     INTEGER NOT NULL DEFAULT 0,
    join_word   TEXT NOT NULL UNIQUE
);
-- Who belongs to a class, and from when until when: a register is judged by the roster of its day.
CREATE TABLE class_member (
    class  TEXT NOT NULL REFERENCES class (id),
    person TEXT NOT NULL REFERENCES person (id),
    role   TEXT NOT NULL,
    since  INTEGER NOT NULL,
    until  INTEGER NOT NULL,
    PRIMARY KEY (class, person, since)
);
CREATE INDEX class_member_by_person ON class_member (person, until);
CREATE TABLE lesson (
    id     TEXT PRIMARY KEY,
    class  TEXT NOT NULL REFERENCES class (id),
    starts INTEGER NOT NULL,
    ends   INTEGER NOT NULL CHECK (ends > starts),
    UNIQUE (class, starts)
);
CREATE INDEX lesson_by_time ON lesson (starts);
-- Settings are ended, never overwritten, so that the past is judged by the rules of its day. class is '' for the school.
CREATE TABLE setting (
    id      INTEGER PRIMARY KEY,
    class   TEXT NOT NULL,
    rule    TEXT NOT NULL,
    value   TEXT NOT NULL,
    role    TEXT NOT NULL,
    binding INTEGER NOT NULL CHECK (binding IN (0, 1)),
    set_by  TEXT NOT NULL,
    since   INTEGER NOT NULL,
    until   INTEGER NOT NULL CHECK (until > since)
);
CREATE INDEX setting_by_class ON setting (class, rule, role, until);
-- What happened, in order; each hash covers the one before it, so that a missing or altered event shows.
CREATE TABLE lesson_event (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    number INTEGER NOT NULL CHECK (number >= 1),
    kind   TEXT NOT NULL,
    body   TEXT NOT NULL,
    hash   TEXT NOT NULL,
    PRIMARY KEY (lesson, number)
) WITHOUT ROWID;
CREATE TABLE correction (
    id     INTEGER PRIMARY KEY,
    lesson TEXT NOT NULL REFERENCES lesson (id),
    person TEXT NOT NULL REFERENCES person (id),
    mark   TEXT NOT NULL,
    late   INTEGER NOT NULL,
    reason TEXT NOT NULL CHECK (reason <> ''),
    set_by TEXT NOT NULL,
    at     INTEGER NOT NULL
);
CREATE INDEX correction_by_lesson ON correction (lesson);
