export { type Action, ACTIONS, actionsOf, type Role, roleMay, ROLES } from './roles.ts';
