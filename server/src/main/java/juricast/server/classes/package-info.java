/** Classes with their rosters, lessons, links and join words (needs B1, B2, B4, C1). Begin with {@link juricast.server.classes.Classes}. */
package juricast.server.classes;
