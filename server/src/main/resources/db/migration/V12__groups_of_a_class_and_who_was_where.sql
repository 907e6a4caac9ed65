-- Classes keep who stays apart or together in groups, what balances them, and groups prepared for a lesson; and it is known who was in which.
CREATE TABLE class_wish (
    id       INTEGER PRIMARY KEY,
    class    TEXT NOT NULL REFERENCES class (id),
    kind     TEXT NOT NULL CHECK (kind IN ('APART', 'TOGETHER')),
    binding  INTEGER NOT NULL CHECK (binding IN (0, 1)),
    reason   TEXT NOT NULL,
    by       TEXT NOT NULL REFERENCES person (id),
    at       INTEGER NOT NULL,
    ended_by TEXT REFERENCES person (id),
    ended_at INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX class_wish_by_class ON class_wish (class) WHERE ended_at = 0;
CREATE TABLE class_wish_person (
    wish   INTEGER NOT NULL REFERENCES class_wish (id),
    person TEXT NOT NULL REFERENCES person (id),
    PRIMARY KEY (wish, person)
);
-- What a teacher has marked for balanced groups; level 0 is none. Never shown to pupils.
CREATE TABLE group_mark (
    class   TEXT NOT NULL REFERENCES class (id),
    person  TEXT NOT NULL REFERENCES person (id),
    level   INTEGER NOT NULL CHECK (level BETWEEN 0 AND 3),
    trusted INTEGER NOT NULL CHECK (trusted IN (0, 1)),
    PRIMARY KEY (class, person)
);
-- The school's own words for the levels.
CREATE TABLE group_level (
    level INTEGER PRIMARY KEY CHECK (level BETWEEN 1 AND 3),
    word  TEXT NOT NULL
);
CREATE TABLE prepared_groups (
    id    TEXT PRIMARY KEY,
    class TEXT NOT NULL REFERENCES class (id),
    name  TEXT NOT NULL,
    task  TEXT NOT NULL,
    by    TEXT NOT NULL REFERENCES person (id),
    at    INTEGER NOT NULL
);
CREATE INDEX prepared_groups_by_class ON prepared_groups (class);
CREATE TABLE prepared_group (
    prepared TEXT NOT NULL REFERENCES prepared_groups (id) ON DELETE CASCADE,
    position INTEGER NOT NULL,
    name     TEXT NOT NULL,
    PRIMARY KEY (prepared, position)
);
CREATE TABLE prepared_person (
    prepared TEXT NOT NULL,
    position INTEGER NOT NULL,
    place    INTEGER NOT NULL,
    person   TEXT NOT NULL REFERENCES person (id),
    PRIMARY KEY (prepared, position, place),
    FOREIGN KEY (prepared, position) REFERENCES prepared_group (prepared, position) ON DELETE CASCADE
);
-- A step of a running order in which the class works in prepared groups; empty for none.
ALTER TABLE running_step ADD COLUMN prepared TEXT NOT NULL DEFAULT '';
-- Who was in which group, worked out once from a lesson's events (core: WhoWasWhere). A row in lesson_grouped says that it was.
CREATE TABLE lesson_grouped (
    lesson TEXT PRIMARY KEY REFERENCES lesson (id)
);
CREATE TABLE lesson_place (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    round  INTEGER NOT NULL,
    place  TEXT NOT NULL,
    name   TEXT NOT NULL,
    person TEXT NOT NULL,
    starts INTEGER NOT NULL,
    ends   INTEGER NOT NULL
);
CREATE INDEX lesson_place_by_lesson ON lesson_place (lesson);
CREATE INDEX lesson_place_by_person ON lesson_place (person);
