/** A gateway of another kind: guests pay with tokens of their telephones, amounts are decimals, and outcomes are only told to whoever asks. */
package gastfreund.standins.wallet;
