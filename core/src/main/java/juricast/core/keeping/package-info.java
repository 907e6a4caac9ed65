/** How the rules in force in a lesson differed from what was planned, by whom and for how long (need M3). */
package juricast.core.keeping;
