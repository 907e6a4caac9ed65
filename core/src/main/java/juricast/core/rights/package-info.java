/**
 * What is on, and what adults set otherwise than planned: live orders, passes, curbs, stances, lent rights (needs F1 to F3).
 */
package juricast.core.rights;
