/** A whole school as files of the 1EdTech OneRoster CSV binding. Begin with {@link juricast.server.exchange.SchoolZip}. */
package juricast.server.exchange;
