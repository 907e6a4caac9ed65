/** What is still read of a lesson that is over, and by whom: {@link juricast.core.afterwards.Afterwards}. */
package juricast.core.afterwards;
