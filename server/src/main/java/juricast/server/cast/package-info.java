/**
 * The stand-in classroom: simulated people who come through the same door as real ones, in the demo and in rehearsals. What they do
 * is written in readable files under {@code demo/}.
 */
package juricast.server.cast;
