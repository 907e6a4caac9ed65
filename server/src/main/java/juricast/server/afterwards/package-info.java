/** A lesson that is over, read again by its adults and, as ruled, by its pupils (needs F9, J6, K2). */
package juricast.server.afterwards;
