import { ROLES, type Role } from '@mendum/core/operations';
import { Select } from '../ui/field.tsx';

interface RoleSelectProps {
  readonly role: Role;
  readonly hint?: string | undefined;
  readonly onRole: (role: Role) => void;
}

/** What somebody is there for. */
export const RoleSelect = ({ role, hint, onRole }: RoleSelectProps) => (
  <Select
    label="Role"
    value={role}
    hint={hint}
    onChange={(event) => onRole(ROLES.find((one) => one === event.target.value) ?? role)}
  >
    {ROLES.map((one) => (
      <option key={one} value={one}>
        {one}
      </option>
    ))}
  </Select>
);
