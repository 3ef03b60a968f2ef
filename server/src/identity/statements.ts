export const ACCOUNT_COLUMNS = `a.id, a.sign_in_name AS signInName, a.name, a.initials, a.password_hash AS passwordHash`;

export const COUNT_ACCOUNTS = 'SELECT count(*) AS n FROM account';

export const ACCOUNT_BY_NAME = `SELECT ${ACCOUNT_COLUMNS} FROM account a WHERE a.sign_in_name = @signInName`;

export const ACCOUNT_BY_ID = `SELECT ${ACCOUNT_COLUMNS} FROM account a WHERE a.id = @id`;

export const INSERT_ACCOUNT = `
  INSERT INTO account (id, sign_in_name, name, initials, password_hash, made_at)
  VALUES (@id, @signInName, @name, @initials, @passwordHash, @madeAt)`;

export const SET_PERSON = 'UPDATE account SET name = @name, initials = @initials WHERE id = @id';

export const SET_PASSWORD = 'UPDATE account SET password_hash = @passwordHash WHERE id = @id';

export const STUDIOS = 'SELECT id, name FROM studio ORDER BY made_at, id';

export const INSERT_STUDIO = 'INSERT INTO studio (id, name, made_at) VALUES (@id, @name, @madeAt)';

export const SET_STUDIO_NAME = 'UPDATE studio SET name = @name WHERE id = @id';

export const MEMBERSHIPS_OF = `
  SELECT m.studio_id AS studioId, s.name AS studioName, m.role
  FROM membership m JOIN studio s ON s.id = m.studio_id
  WHERE m.account_id = @accountId AND m.ended_at IS NULL
  ORDER BY m.since, m.studio_id`;

export const MEMBERS_OF = `
  SELECT a.id, a.name, a.initials, a.sign_in_name AS signInName, m.role, m.since,
         (SELECT max(i.seen_at) FROM sign_in i WHERE i.account_id = a.id) AS seenAt
  FROM membership m JOIN account a ON a.id = m.account_id
  WHERE m.studio_id = @studioId AND m.ended_at IS NULL
  ORDER BY a.name, a.id`;

export const SET_MEMBERSHIP = `
  INSERT INTO membership (account_id, studio_id, role, since, ended_at)
  VALUES (@accountId, @studioId, @role, @at, NULL)
  ON CONFLICT (account_id, studio_id) DO UPDATE SET role = excluded.role, ended_at = NULL`;

export const END_MEMBERSHIP = 'UPDATE membership SET ended_at = @at WHERE account_id = @accountId AND studio_id = @studioId';

export const INSERT_SIGN_IN = `
  INSERT INTO sign_in (id, token_hash, account_id, studio_id, made_at, seen_at, confirmed_at, device, address)
  VALUES (@id, @tokenHash, @accountId, @studioId, @at, @at, @at, @device, @address)`;

export const SIGN_IN_BY_TOKEN = `
  SELECT i.id, i.account_id AS accountId, i.made_at AS madeAt, i.seen_at AS seenAt, i.confirmed_at AS confirmedAt,
         a.name, a.initials, a.sign_in_name AS signInName, m.studio_id AS studioId, m.role, s.name AS studioName
  FROM sign_in i
  JOIN account a ON a.id = i.account_id
  LEFT JOIN membership m ON m.account_id = i.account_id AND m.studio_id = i.studio_id AND m.ended_at IS NULL
  LEFT JOIN studio s ON s.id = m.studio_id
  WHERE i.token_hash = @tokenHash AND i.ended_at IS NULL`;

export const SEEN = 'UPDATE sign_in SET seen_at = @at WHERE id = @id';

export const CONFIRMED = 'UPDATE sign_in SET confirmed_at = @at WHERE id = @id';

export const ENTER = 'UPDATE sign_in SET studio_id = @studioId WHERE id = @id';

export const DEVICES_OF = `
  SELECT id, device, address, made_at AS madeAt, seen_at AS seenAt
  FROM sign_in
  WHERE account_id = @accountId AND ended_at IS NULL AND seen_at > @since
  ORDER BY seen_at DESC, id`;

export const END_SIGN_IN = 'UPDATE sign_in SET ended_at = @at WHERE id = @id AND account_id = @accountId AND ended_at IS NULL';

export const END_OTHER_SIGN_INS = 'UPDATE sign_in SET ended_at = @at WHERE account_id = @accountId AND id <> @id AND ended_at IS NULL';

export const INSERT_CODE = `
  INSERT INTO one_time_code (id, code_hash, studio_id, role, account_id, made_by, made_at, lapses_at)
  VALUES (@id, @codeHash, @studioId, @role, @accountId, @madeBy, @at, @lapsesAt)`;

export const CODE = `
  SELECT id, studio_id AS studioId, role, account_id AS accountId, made_by AS madeBy
  FROM one_time_code
  WHERE code_hash = @codeHash AND used_at IS NULL AND lapses_at > @at`;

export const USE_CODE = 'UPDATE one_time_code SET used_at = @at WHERE id = @id';

export const OPEN_INVITATIONS = `
  SELECT id, role, made_at AS madeAt, lapses_at AS lapsesAt
  FROM one_time_code
  WHERE studio_id = @studioId AND role IS NOT NULL AND used_at IS NULL AND lapses_at > @at
  ORDER BY made_at`;

export const TAKE_BACK_INVITATION = `
  UPDATE one_time_code SET used_at = @at
  WHERE id = @id AND studio_id = @studioId AND role IS NOT NULL AND used_at IS NULL`;

export const INSERT_EVENT = `
  INSERT INTO account_event (at, account_id, studio_id, what, about, address)
  VALUES (@at, @accountId, @studioId, @what, @about, @address)`;

export const EVENTS_OF_STUDIO = `
  SELECT e.at, a.name, e.what, b.name AS about, e.address
  FROM account_event e
  LEFT JOIN account a ON a.id = e.account_id
  LEFT JOIN account b ON b.id = e.about
  WHERE e.studio_id = @studioId
  ORDER BY e.id DESC
  LIMIT @limit`;
