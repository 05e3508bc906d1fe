/** Amounts, percentages, contained tax and fair division, in whole minor units ({@code docs/money.md}). */
package gastfreund.core.money;
