/** The people of the school and how they sign in (needs N1, N2). Begin with {@link juricast.server.people.People}. */
package juricast.server.people;
