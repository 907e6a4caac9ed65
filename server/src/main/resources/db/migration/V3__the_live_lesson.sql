-- The planned stances of a class, or of one lesson, which then goes before those of its class.
CREATE TABLE running_order (
    place        TEXT PRIMARY KEY,
    by_the_clock INTEGER NOT NULL
);
CREATE TABLE running_step (
    place    TEXT NOT NULL REFERENCES running_order (place) ON DELETE CASCADE,
    position INTEGER NOT NULL,
    set_id   TEXT NOT NULL REFERENCES ready_made (id),
    minutes  INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 240),
    PRIMARY KEY (place, position)
);
-- Who has taken a worry of the corridor upon themselves; it is then quiet for the others.
CREATE TABLE alert_taken (
    lesson   TEXT NOT NULL REFERENCES lesson (id),
    kind     TEXT NOT NULL,
    since    INTEGER NOT NULL,
    taken_by TEXT NOT NULL,
    taken_at INTEGER NOT NULL,
    PRIMARY KEY (lesson, kind, since)
);
