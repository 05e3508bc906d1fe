/** The guest's way to an opening: the house's page, an offer's page, and the openings behind them. */
package gastfreund.app.openings;
