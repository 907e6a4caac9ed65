/** The first steps of a school that has just been founded (need N13). */
package juricast.server.first;
