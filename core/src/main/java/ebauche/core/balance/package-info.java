/** What a guitar weighs, where it balances, and how it hangs from its strap. */
package ebauche.core.balance;
