/** Own slates (need J4): everybody answers on a small sheet that only they and the adults see, until an adult shows it. */
package juricast.core.slates;
