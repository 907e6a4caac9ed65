/** Words and files, to whom they go, and what waits for an adult first. */
package juricast.core.chat;
