/** The one file in which a school is kept. Begin with {@link juricast.server.data.Database}. */
package juricast.server.data;
