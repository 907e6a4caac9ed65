/** The line in which one types what one looks for (need N13): what the core may find, and where each leads. */
package juricast.server.find;
