/** Tables as files, in and out. Begin with {@link juricast.server.files.TableFile}. */
package juricast.server.files;
