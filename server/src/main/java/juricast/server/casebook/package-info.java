/**
 * The casebook: incidents from lessons and from people, kept as chained events, read as one table allows (needs G3, G5, N4). Begin with
 * {@link juricast.server.casebook.Casebook}.
 */
package juricast.server.casebook;
