-- That a lesson was rehearsed, and by whom; of the rehearsal itself nothing is kept.
CREATE TABLE rehearsed (
    lesson TEXT NOT NULL REFERENCES lesson (id),
    by     TEXT NOT NULL REFERENCES person (id),
    at     INTEGER NOT NULL,
    PRIMARY KEY (lesson, at)
) WITHOUT ROWID;
