/** What a guest is about to order: lines, each with a hold on its place. */
package gastfreund.app.baskets;
