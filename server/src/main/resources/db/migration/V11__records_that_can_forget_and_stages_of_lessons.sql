-- What was said in a lesson can be erased, and its record still proves that nothing was taken out, put in or moved.
DROP INDEX lesson_event_dismissed;
-- Who asks whether a lesson is open or over reads no events for it.
CREATE TABLE lesson_stage (
    lesson TEXT PRIMARY KEY REFERENCES lesson (id),
    opened INTEGER,
    over   INTEGER,
    -- Whether what was written in it was erased when its time had come.
    forgot INTEGER NOT NULL DEFAULT 0 CHECK (forgot IN (0, 1))
) WITHOUT ROWID;
INSERT INTO lesson_stage (lesson, opened, over)
SELECT lesson,
       min(CASE kind WHEN 'Opened' THEN at END),
       min(CASE kind WHEN 'Dismissed' THEN at END)
FROM (SELECT lesson, kind,
             CAST(strftime('%s', json_extract(body, '$.at')) AS INTEGER) * 1000
             + CAST(substr(strftime('%f', json_extract(body, '$.at')), 4, 3) AS INTEGER) AS at
      FROM lesson_event WHERE kind IN ('Opened', 'Dismissed'))
GROUP BY lesson;
CREATE INDEX lesson_stage_open ON lesson_stage (lesson) WHERE over IS NULL;
ALTER TABLE lesson_event RENAME TO lesson_event_before;
-- The hash goes over number, kind and the hash of the body; body and salt can be erased.
CREATE TABLE lesson_event (
    lesson    TEXT NOT NULL REFERENCES lesson (id),
    number    INTEGER NOT NULL CHECK (number >= 1),
    kind      TEXT NOT NULL,
    body      TEXT,
    salt      BLOB,
    body_hash BLOB NOT NULL,
    hash      BLOB NOT NULL,
    PRIMARY KEY (lesson, number)
) WITHOUT ROWID;
-- The end of each record, so that one whose tail was cut off is found.
CREATE TABLE record_anchor (
    lesson TEXT PRIMARY KEY REFERENCES lesson (id),
    number INTEGER NOT NULL,
    hash   BLOB NOT NULL,
    mac    BLOB NOT NULL
) WITHOUT ROWID;
-- How many records and events there are, so that a whole record that was taken out is found.
CREATE TABLE record_total (
    only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
    lessons  INTEGER NOT NULL,
    events   INTEGER NOT NULL,
    mac      BLOB NOT NULL
);
-- What somebody may need again, for an incident: its bodies are not erased.
CREATE TABLE record_hold (
    id          INTEGER PRIMARY KEY,
    lesson      TEXT NOT NULL REFERENCES lesson (id),
    first       INTEGER NOT NULL,
    last        INTEGER NOT NULL,
    why         TEXT NOT NULL,
    by          TEXT NOT NULL,
    at          INTEGER NOT NULL,
    released    INTEGER,
    released_by TEXT,
    CHECK (first >= 1 AND last >= first)
);
CREATE INDEX record_hold_by_lesson ON record_hold (lesson);
-- What was erased, when, why and by whom, for ever.
CREATE TABLE record_erasure (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    number INTEGER NOT NULL,
    at     INTEGER NOT NULL,
    why    TEXT NOT NULL,
    by     TEXT NOT NULL,
    PRIMARY KEY (lesson, number)
) WITHOUT ROWID;
-- When each record was last looked at, and the first event of it that is damaged, if one is.
CREATE TABLE record_look (
    lesson  TEXT PRIMARY KEY REFERENCES lesson (id),
    at      INTEGER NOT NULL,
    damaged INTEGER
) WITHOUT ROWID;
CREATE INDEX record_look_damaged ON record_look (lesson) WHERE damaged IS NOT NULL;
