export const roles = ['coordinator', 'crewLead', 'volunteer', 'receiver'] as const;
export type Role = (typeof roles)[number];

/** Who may call a route: anyone at all, anyone signed in, or members of the garden in these roles. */
export type Audience = 'anyone' | 'signedIn' | readonly Role[];

export type Method = 'GET' | 'PUT' | 'POST' | 'DELETE';
