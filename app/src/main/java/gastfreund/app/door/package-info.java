/** What keeps programs from keeping places and ordering, without hurting people. */
package gastfreund.app.door;
