/** What plot holders of the demo garden agree to. Invented. */
export const agreement = `I plant my plot by the end of May and keep weeds from seeding.
I come to two work mornings a season, or find somebody in my place.
I close the tap and bring tools back to the shed.
I use no weed killers. Anything else that is sprayed goes by its label and by local rules.
Children of mine are with me or with a grown person who has agreed to look after them.
If I cannot go on, I say so, and the plot goes to the next household on the list.`;
