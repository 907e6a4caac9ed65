/** Material and captions of a lesson on the way in, on the wire, on the disk and in words; what it decides stands in {@link juricast.core.material}. */
package juricast.server.material;
