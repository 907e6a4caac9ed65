/** How lessons kept to their plan over time (need M3). Begin with {@link juricast.server.keeping.Keepings}. */
package juricast.server.keeping;
