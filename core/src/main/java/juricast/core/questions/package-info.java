/** What is asked of all with an answer to choose or to give (need J1): asked, answered, closed, shown without names. */
package juricast.core.questions;
