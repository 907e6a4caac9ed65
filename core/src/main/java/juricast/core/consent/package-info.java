/**
 * Who may be recorded (need I3): what a family, a pupil, a visitor or the school has said, from when until when. Begin with
 * {@link juricast.core.consent.Consents}.
 */
package juricast.core.consent;
