/**
 * Who is in, waits, was turned away or removed, and whether the lesson is open or over (needs D1, E3 to E5, G2). It knows no
 * other part, and tells the others who is there and who has gone.
 */
package juricast.core.door;
