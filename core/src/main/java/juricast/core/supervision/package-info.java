/** Pupils without an adult, the quiet that follows, who took charge, and stopping everything. */
package juricast.core.supervision;
