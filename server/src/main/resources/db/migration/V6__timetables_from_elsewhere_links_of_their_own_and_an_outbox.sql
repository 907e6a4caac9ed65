-- A school can take timetables made elsewhere, give staff, visitors and calendars links of their own, and tell people.
-- What a series is called in the program it came from; empty if it was planned here.
ALTER TABLE series ADD COLUMN uid TEXT NOT NULL DEFAULT '';
CREATE INDEX lesson_by_series ON lesson (series);
-- Since when the link of a class is what it is, and how often the link of its staff was renewed.
ALTER TABLE class ADD COLUMN link_since INTEGER NOT NULL DEFAULT 0;
ALTER TABLE class ADD COLUMN staff_renewal INTEGER NOT NULL DEFAULT 0;
-- A visitor's own link to one lesson. It outlives a change of the plan, so that an invitation stays good.
CREATE TABLE visitor_link (
    number  INTEGER PRIMARY KEY,
    lesson  TEXT NOT NULL REFERENCES lesson (id),
    person  TEXT NOT NULL,
    renewal INTEGER NOT NULL DEFAULT 0,
    UNIQUE (lesson, person)
);
-- An address at which a calendar program finds the lessons of a class or a person.
CREATE TABLE feed (
    number  INTEGER PRIMARY KEY,
    kind    TEXT NOT NULL CHECK (kind IN ('CLASS', 'PERSON')),
    subject TEXT NOT NULL,
    renewal INTEGER NOT NULL DEFAULT 0,
    UNIQUE (kind, subject)
);
-- What went out, to whom, when. about names what it is about, so that nobody is told twice, also after a crash.
CREATE TABLE message (
    id      INTEGER PRIMARY KEY,
    kind    TEXT NOT NULL,
    about   TEXT NOT NULL,
    class   TEXT NOT NULL,
    lesson  TEXT NOT NULL,
    person  TEXT NOT NULL,
    name    TEXT NOT NULL,
    way     TEXT NOT NULL CHECK (way IN ('MAIL', 'TEXT')),
    subject TEXT NOT NULL,
    body    TEXT NOT NULL,
    at      INTEGER NOT NULL,
    UNIQUE (kind, about, person)
);
CREATE INDEX message_by_time ON message (at);
-- The school's own words for a kind of message; without a row the usual ones count.
CREATE TABLE message_template (
    kind    TEXT PRIMARY KEY,
    subject TEXT NOT NULL,
    body    TEXT NOT NULL,
    by      TEXT NOT NULL,
    at      INTEGER NOT NULL
);
