/** What is kept of the activities of finished lessons beside their record, so that pages over many lessons need not fold them again. */
package juricast.server.activities;
