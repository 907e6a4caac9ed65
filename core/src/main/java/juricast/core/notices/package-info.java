/** A welcome that arriving people see first, and announcements that stay until they are taken down (need J7). */
package juricast.core.notices;
