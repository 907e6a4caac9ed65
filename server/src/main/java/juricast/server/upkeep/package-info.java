/**
 * How the program itself fares: backups and restoring, health and measures, room on the disk, and who looked at what (needs N3, N8,
 * N9, N11). Begin with {@link juricast.server.upkeep.Upkeep}.
 */
package juricast.server.upkeep;
