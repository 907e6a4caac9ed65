/**
 * In which language somebody is spoken to, and its sentences. The staff reads English; doors, seats and pupils' own pages say the same
 * in every language there is.
 */
package juricast.server.languages;
