-- What devices and keys have shown of themselves when they were added; the secret stays with them. As Spring Security keeps it.
create table user_credentials (
    credential_id                text primary key,
    -- the id of the account, as base64url of its 16 bytes
    user_entity_user_id          text        not null,
    public_key                   bytea       not null,
    signature_count              bigint      not null,
    uv_initialized               boolean     not null,
    backup_eligible              boolean     not null,
    authenticator_transports     text,
    public_key_credential_type   text,
    backup_state                 boolean     not null,
    attestation_object           bytea,
    attestation_client_data_json bytea,
    created                      timestamp   not null,
    last_used                    timestamp   not null,
    label                        text        not null
);
create index user_credentials_by_user on user_credentials (user_entity_user_id);
