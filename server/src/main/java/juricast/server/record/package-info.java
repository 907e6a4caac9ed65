/**
 * The record of all lessons on the disk: events by their stored names, chained by keyed hashes that hold even where bodies were
 * erased (needs L1, N3). Begin with {@link juricast.server.record.Journal}; {@link juricast.server.record.Chain} says what is
 * proved.
 */
package juricast.server.record;
