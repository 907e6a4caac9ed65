/** Halvorn Reach, the made-up school of the demo, laid around today from the readable files under {@code demo/}. */
package juricast.server.demo;
