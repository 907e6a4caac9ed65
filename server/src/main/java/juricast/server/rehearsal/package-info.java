/** Rehearsals of planned lessons, against the cast. */
package juricast.server.rehearsal;
