/**
 * The plan of the whole school: its calendar, changes of single lessons and their undo, cover, and the inspection kept up to date
 * (needs B2, B5 to B7, B11). Begin with {@link juricast.server.timetable.Plan}.
 */
@NullMarked
package juricast.server.timetable;

import org.jspecify.annotations.NullMarked;
