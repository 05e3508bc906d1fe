/** The desk's main view: lanes of staff and resources over a day, under a ruler of days. */
package gastfreund.app.board;
