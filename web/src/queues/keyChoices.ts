/** Keys of a telephone that something can be done by, or none. */
export const KEY_CHOICES = ['', ...'123456789*0#'].map((key) => ({ value: key, label: key || 'no key' }));
