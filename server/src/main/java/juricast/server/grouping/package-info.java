/** What a class keeps for making groups: wishes, marks, prepared groups, and who was together lately (need H1). */
package juricast.server.grouping;
