/**
 * Recording of a lesson on the way in, on the wire, on the disk and in words, and the way to the {@link
 * juricast.server.recording.Recorder}; what it decides stands in {@link juricast.core.recording}.
 */
package juricast.server.recording;
