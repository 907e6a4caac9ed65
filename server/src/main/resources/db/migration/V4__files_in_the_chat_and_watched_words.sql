-- What was sent in a lesson. The event in the lesson's record says who sent it to whom; here are its bytes.
CREATE TABLE lesson_file (
    id     TEXT PRIMARY KEY,
    lesson TEXT NOT NULL REFERENCES lesson (id),
    bytes  BLOB NOT NULL
);
-- The school's words that are looked at before others read them. What is taken off the list stays, with who took it off.
CREATE TABLE watched_word (
    word     TEXT NOT NULL,
    set_by   TEXT NOT NULL,
    set_at   INTEGER NOT NULL,
    ended_by TEXT,
    ended_at INTEGER
);
CREATE UNIQUE INDEX watched_word_in_force ON watched_word (word) WHERE ended_at IS NULL;
