-- What was sent in a lesson. The event in the lesson's record says who sent it to whom; here are its bytes.
CREATE TABLE lesson_file (
    id     TEXT PRIMARY KEY,
    lesson TEXT NOT NULL REFERENCES lesson (id),
    bytes  BLOB NOT NULL
);
-- The school's words that are looked at before others read them.
CREATE TABLE watched_word (
    word   TEXT PRIMARY KEY,
    set_by TEXT NOT NULL,
    set_at INTEGER NOT NULL
);
