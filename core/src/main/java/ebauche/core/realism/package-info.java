/** Whether a body can be made, and here: the trade's rules with its numbers, the shop's tools and hands against its steps. */
package ebauche.core.realism;
