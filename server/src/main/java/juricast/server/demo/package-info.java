/**
 * Halvorn Reach, the made-up school of the demo, laid around today from the readable files under {@code demo/}, and its
 * cast: simulated people who come through the same door as real ones.
 */
package juricast.server.demo;
