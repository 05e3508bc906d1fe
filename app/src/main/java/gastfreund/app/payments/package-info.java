/** Payments at gateways, which are reached over HTTP only, and what they tell us. */
package gastfreund.app.payments;
