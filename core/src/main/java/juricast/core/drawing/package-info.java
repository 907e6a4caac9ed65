/** What is drawn, on the board and on slates: one mark, and a sheet of them with what each author may undo. */
package juricast.core.drawing;
