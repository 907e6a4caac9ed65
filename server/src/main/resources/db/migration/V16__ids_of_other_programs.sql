-- What the files of other programs call people and classes of this school, so that the next file knows them again.
CREATE TABLE outside_id (
    outside TEXT NOT NULL,
    kind    TEXT NOT NULL CHECK (kind IN ('PERSON', 'CLASS')),
    id      TEXT NOT NULL,
    PRIMARY KEY (kind, outside)
) WITHOUT ROWID;
