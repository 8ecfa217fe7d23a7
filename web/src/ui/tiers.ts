/** The tiers that members can be in. */
export const TIERS = [1, 2, 3, 4, 5, 6, 7, 8, 9].map((tier) => ({ value: tier, label: `tier ${tier}` }));
