/** Running a planned lesson against a simulated cast, before the real one. */
package juricast.core.rehearsal;
