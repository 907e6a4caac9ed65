package juricast.core.reading;

/** How somebody who reads stands to what is read. Who has none of these to it reads nothing of it. */
public enum Tie {
    /** It is about them. */
    SELF,
    /** They are in charge of the class now: its lead adult or a second one. */
    ADULT,
    /** They are in charge of this one lesson, in place of those of the class or beside them. */
    COVER,
    /** They are the head of the year of one of the classes. */
    YEAR,
    /** They were asked to do something about it, or did. */
    ASKED,
    /** They work at the school. */
    STAFF,
    /** They are the safeguarding lead; or the head of some year, where every lead is one whom it is kept from: somebody has to read it. */
    LEAD
}
