/**
 * What the charter says of accounts and of what is kept about their use (needs N7, N9). Begin with {@link
 * juricast.core.accounts.AccountRules}.
 */
package juricast.core.accounts;
