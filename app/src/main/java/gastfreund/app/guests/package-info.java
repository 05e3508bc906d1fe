/** What the house has of its guests: taken out, forgotten, and kept no longer than it says. */
package gastfreund.app.guests;
