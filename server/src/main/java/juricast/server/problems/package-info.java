/** What went wrong, told so that somebody can do something about it (RFC 9457). Begin with {@link Problem}. */
package juricast.server.problems;
