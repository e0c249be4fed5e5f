-- A second factor (RFC 6238): the secret that a person's device shares, and the last step of time whose code was used, so that none is used twice.
alter table account add column totp_secret text;
alter table account add column totp_step bigint not null default 0;

-- Codes for whoever has lost the device; each is used once. Kept as their hash.
create table recovery_code (
    account_id uuid not null references account on delete cascade,
    code_hash  text not null,
    primary key (account_id, code_hash)
);
