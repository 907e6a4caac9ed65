/** Stretches of time and their union. Instants inside, the school's zone only at the edges. */
package juricast.core.time;
