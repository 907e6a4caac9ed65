/**
 * Evidence packs: an incident with all that it rests on in one file that can be checked without the school (need G5). The format stands
 * in docs/evidence-pack.md. Begin with {@link juricast.server.evidence.PackCheck}.
 */
package juricast.server.evidence;
