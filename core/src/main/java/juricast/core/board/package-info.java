/** Pages and marks, each with its author. */
package juricast.core.board;
