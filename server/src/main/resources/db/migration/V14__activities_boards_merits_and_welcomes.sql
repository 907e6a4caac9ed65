-- Questions a class keeps, pictures under pages of boards, what is kept of a lesson's activities beside its record, and how people are welcomed.

-- A set of prepared questions: JSON of a list (server: questions/QuestionSets). version grows with each change, so that no two editors lose one.
CREATE TABLE question_set (
    id        TEXT PRIMARY KEY,
    class     TEXT NOT NULL REFERENCES class (id),
    name      TEXT NOT NULL,
    questions TEXT NOT NULL,
    version   INTEGER NOT NULL,
    by        TEXT NOT NULL,
    at        INTEGER NOT NULL
);
CREATE INDEX question_set_by_class ON question_set (class);

-- Pages of PDFs and photographs that lie under pages of a lesson's board.
CREATE TABLE board_picture (
    id     TEXT PRIMARY KEY,
    lesson TEXT NOT NULL REFERENCES lesson (id),
    type   TEXT NOT NULL,
    bytes  BLOB NOT NULL
);
CREATE INDEX board_picture_by_lesson ON board_picture (lesson);

-- Finished lessons that were gone through for what follows, and how much their board holds.
CREATE TABLE lesson_activities (
    lesson TEXT PRIMARY KEY REFERENCES lesson (id),
    class  TEXT NOT NULL,
    at     INTEGER NOT NULL,
    pages  INTEGER NOT NULL,
    marks  INTEGER NOT NULL,
    asked  INTEGER NOT NULL
);
CREATE INDEX lesson_activities_by_class ON lesson_activities (class, at);

-- Merits that count, of finished lessons.
CREATE TABLE merit (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    number INTEGER NOT NULL,
    class  TEXT NOT NULL,
    person TEXT NOT NULL,
    reason TEXT NOT NULL,
    by     TEXT NOT NULL,
    at     INTEGER NOT NULL,
    PRIMARY KEY (lesson, number)
) WITHOUT ROWID;
CREATE INDEX merit_by_class ON merit (class, at);
CREATE INDEX merit_by_person ON merit (person, at);

-- What merits are usually given for.
CREATE TABLE merit_reason (
    place  INTEGER PRIMARY KEY,
    reason TEXT NOT NULL
);
INSERT INTO merit_reason (place, reason) VALUES (1, 'a good question'), (2, 'helping others'), (3, 'good work');

-- How a class, or one lesson, welcomes who arrives. owner: "class:…" or "lesson:…".
CREATE TABLE welcome (
    owner TEXT PRIMARY KEY,
    text  TEXT NOT NULL,
    by    TEXT NOT NULL,
    at    INTEGER NOT NULL
) WITHOUT ROWID;
