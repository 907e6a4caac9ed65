/** Who may be recorded, as it is kept, listed, and taken in from files; what follows from it stands in {@link juricast.core.consent}. */
package juricast.server.consent;
