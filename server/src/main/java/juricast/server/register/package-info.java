/** Registers: computed from a lesson's record, corrected with a reason, exported (needs L1 to L5). */
package juricast.server.register;
