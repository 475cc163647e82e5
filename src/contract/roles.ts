/** What somebody may do in a house, from most to least. */
export const ROLES = ['keeper', 'helper', 'reader'] as const;

/**
 * A keeper does everything. A helper walks and writes down, changes no rules and sees no secrets. A reader looks.
 */
export type Role = (typeof ROLES)[number];

/**
 * Who may ask an address: `anyone`, whoever holds the `secret` that is part of the address or the token of a device, or those of a
 * role and of the roles above it.
 */
export type Needed = Role | 'anyone' | 'secret';

/** Whether somebody of a role (null: nobody is signed in) may ask what needs another. */
export function isAllowed(role: Role | null, needed: Needed): boolean {
  if (needed === 'anyone' || needed === 'secret') return true;
  return role !== null && ROLES.indexOf(role) <= ROLES.indexOf(needed);
}
