/** What each page is for, on the page itself and on paper, from one set of texts in {@code resources/guide} (need N13). */
package juricast.server.guide;
