/**
 * The register of a lesson: marks from computed presence, with corrections beside them (needs L1, L2, L4). Begin with
 * {@link juricast.core.register.Register}.
 */
package juricast.core.register;
