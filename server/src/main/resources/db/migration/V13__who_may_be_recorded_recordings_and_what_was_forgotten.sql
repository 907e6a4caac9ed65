-- It is known who may be recorded; recordings are listed, watched, kept and forgotten by rule; and what was forgotten is said for ever.
CREATE TABLE consent (
    id     INTEGER PRIMARY KEY,
    -- Pupils of the school, and visitors of one lesson, who are no persons of the school.
    person TEXT NOT NULL,
    said   TEXT NOT NULL CHECK (said IN ('GIVEN', 'REFUSED', 'WITHDRAWN')),
    giver  TEXT NOT NULL CHECK (giver IN ('PARENT', 'PUPIL', 'SCHOOL', 'VISITOR')),
    paper  TEXT NOT NULL,
    starts INTEGER NOT NULL,
    ends   INTEGER NOT NULL,
    at     INTEGER NOT NULL,
    by     TEXT NOT NULL,
    CHECK (starts < ends)
);
CREATE INDEX consent_by_person ON consent (person);

-- A lesson of which something was recorded, or what an adult has recorded ahead (lesson is empty then).
CREATE TABLE recording (
    id             TEXT PRIMARY KEY,
    lesson         TEXT REFERENCES lesson (id),
    class          TEXT NOT NULL REFERENCES class (id),
    title          TEXT NOT NULL,
    begun          INTEGER NOT NULL,
    -- When the recorder was last known to record; what it lost after a crash is missing from then on.
    alive          INTEGER NOT NULL,
    ended          INTEGER,
    length         INTEGER NOT NULL DEFAULT 0,
    kept_until     INTEGER,
    extended_until INTEGER,
    extended_why   TEXT NOT NULL DEFAULT '',
    extended_by    TEXT NOT NULL DEFAULT '',
    erased_at      INTEGER,
    erased_why     TEXT NOT NULL DEFAULT '',
    by             TEXT NOT NULL DEFAULT '',
    shown_from     INTEGER,
    shown_until    INTEGER,
    -- The lesson in whose register watching one recorded ahead counts, if it does.
    for_lesson     TEXT REFERENCES lesson (id)
);
CREATE INDEX recording_by_class ON recording (class, begun);
CREATE INDEX recording_by_lesson ON recording (for_lesson) WHERE for_lesson IS NOT NULL;
CREATE INDEX recording_by_time ON recording (begun);
CREATE INDEX recording_to_erase ON recording (kept_until) WHERE erased_at IS NULL;

-- What had to be recorded of a finished lesson and what was, worked out once from its events (core: Coverage); milliseconds.
CREATE TABLE lesson_coverage (
    lesson     TEXT PRIMARY KEY REFERENCES lesson (id),
    class      TEXT NOT NULL,
    at         INTEGER NOT NULL,
    recorded   INTEGER NOT NULL,
    required   INTEGER NOT NULL,
    covered    INTEGER NOT NULL,
    late       INTEGER NOT NULL,
    paused     INTEGER NOT NULL,
    failed     INTEGER NOT NULL,
    no_consent INTEGER NOT NULL,
    in_groups  INTEGER NOT NULL,
    ended      INTEGER NOT NULL
);
CREATE INDEX lesson_coverage_required ON lesson_coverage (at) WHERE required > 0 OR recorded > 0;

-- Who asks to watch a recording, or for a copy, and what an adult answered. let_until is empty where it was refused.
CREATE TABLE recording_wish (
    id          INTEGER PRIMARY KEY,
    recording   TEXT NOT NULL REFERENCES recording (id),
    person      TEXT NOT NULL REFERENCES person (id),
    download    INTEGER NOT NULL CHECK (download IN (0, 1)),
    why         TEXT NOT NULL,
    at          INTEGER NOT NULL,
    answered_by TEXT NOT NULL DEFAULT '',
    answered_at INTEGER,
    let_until   INTEGER
);
CREATE INDEX recording_wish_by_recording ON recording_wish (recording);
CREATE INDEX recording_wish_by_person ON recording_wish (person);

-- What somebody has watched: the union of what the player told (core: Watched), as "from-until from-until" in milliseconds.
CREATE TABLE recording_watched (
    recording TEXT NOT NULL REFERENCES recording (id),
    person    TEXT NOT NULL REFERENCES person (id),
    opened    INTEGER NOT NULL,
    told      INTEGER NOT NULL,
    pieces    TEXT NOT NULL,
    watched   INTEGER NOT NULL,
    PRIMARY KEY (recording, person)
);

-- One line for each time something was forgotten by rule: never what it said.
CREATE TABLE forgotten (
    number INTEGER PRIMARY KEY,
    at     INTEGER NOT NULL,
    kind   TEXT NOT NULL,
    about  TEXT NOT NULL,
    rule   TEXT NOT NULL,
    count  INTEGER NOT NULL
);
CREATE INDEX forgotten_by_kind ON forgotten (kind, at);

-- Which kinds of what a lesson said have been forgotten (core: Retention); takes the place of lesson_stage.forgot.
CREATE TABLE lesson_forgot (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    kind   TEXT NOT NULL,
    at     INTEGER NOT NULL,
    PRIMARY KEY (lesson, kind)
) WITHOUT ROWID;
INSERT INTO lesson_forgot (lesson, kind, at) SELECT lesson, 'WORDS', over FROM lesson_stage WHERE forgot = 1;
