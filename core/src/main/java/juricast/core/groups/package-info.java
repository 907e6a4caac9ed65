/**
 * A lesson in several places (needs H1 to H4): who is meant to be in which group, who is where, how long each place has been without
 * an adult, and calls for help. Begin with {@link juricast.core.groups.GroupsPart}; who sits with whom is worked out by {@link
 * juricast.core.grouping.Grouping}, who was where over a lesson by {@link juricast.core.groups.WhoWasWhere}.
 */
package juricast.core.groups;
