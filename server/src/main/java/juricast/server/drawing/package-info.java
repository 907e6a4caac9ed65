/** What is drawn, on its way to every page that shows it: only what is new travels. */
package juricast.server.drawing;
