/** Who is meant: ids and roles that every other subject shares. Begin with {@link juricast.core.identity.Role}. */
package juricast.core.identity;
