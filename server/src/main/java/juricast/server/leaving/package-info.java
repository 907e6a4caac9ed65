/** All that is kept about one pupil, as a file for the family; and what is erased when one leaves or asks (need N4). */
package juricast.server.leaving;
