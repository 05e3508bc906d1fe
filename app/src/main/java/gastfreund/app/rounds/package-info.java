/** What the house does by itself, round by round: entry after entry, each on its own, again later where it failed. */
package gastfreund.app.rounds;
