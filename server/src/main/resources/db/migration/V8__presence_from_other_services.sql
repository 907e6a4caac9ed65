-- Presence that another service has written down, after a person reconciled it; taken back as a whole, never forgotten.
CREATE TABLE outside_log (
    id         TEXT PRIMARY KEY,
    lesson     TEXT NOT NULL REFERENCES lesson (id),
    file       TEXT NOT NULL,
    taken_by   TEXT NOT NULL,
    taken_at   INTEGER NOT NULL,
    removed_by TEXT NOT NULL DEFAULT '',
    removed_at INTEGER NOT NULL DEFAULT 0
);
CREATE INDEX outside_log_by_lesson ON outside_log (lesson);
CREATE TABLE outside_stay (
    log     TEXT NOT NULL REFERENCES outside_log (id),
    person  TEXT NOT NULL,
    starts  INTEGER NOT NULL,
    ends    INTEGER NOT NULL CHECK (ends > starts)
);
CREATE INDEX outside_stay_by_log ON outside_stay (log);
