package juricast.core.charter;

import juricast.core.identity.ClassId;

/** What the rules need to know of a class. @param year 0 where it has none @param pupils how many are on its list */
public record PlannedClass(ClassId id, int year, int pupils) {}
