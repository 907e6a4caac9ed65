/**
 * A lesson is recorded, or must be, or must not be (needs I1, I2, I3, I5, H5): {@link juricast.core.recording.RecordingPart}.
 * What was recorded of what had to be: {@link juricast.core.recording.Coverage}.
 */
package juricast.core.recording;
