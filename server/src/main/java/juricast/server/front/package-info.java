/** The pages: serves the built front end, with a Content-Security-Policy that lets only its own parts run. */
package juricast.server.front;
