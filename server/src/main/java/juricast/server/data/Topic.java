package juricast.server.data;

/** What a write may have changed, so that only who keeps a copy of that reads it again. */
public enum Topic {
    /** Classes, lessons, series, the calendar, links. */
    PLAN,
    /** Settings, ready-made sets, stances, watched words. */
    RULES,
    /** Who there is, and who belongs to what. */
    PEOPLE,
    /** How people sign in. */
    ACCOUNTS
}
