/**
 * Who sits with whom (need H1): groups of a number or a size, by chance, balanced or mixed anew, under what a class wishes. Begin
 * with {@link juricast.core.grouping.Grouping}, which proposes; {@link juricast.core.grouping.Wishes} says what a proposal, or a
 * change by hand, breaks. Nothing here knows of a live lesson.
 */
package juricast.core.grouping;
