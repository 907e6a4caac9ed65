/**
 * A help hour (need B10): a room with an adult in it to which pupils come with questions, one or several at a time, in a fair row.
 * It is planned, or a lesson goes over into one. Coming is noted; not coming is no absence. Begin with {@link
 * juricast.core.help.HelpPart}.
 */
package juricast.core.help;
