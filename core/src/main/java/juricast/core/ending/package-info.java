/** The steps that close a lesson, and the last word with one pupil. */
package juricast.core.ending;
