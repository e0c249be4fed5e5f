-- Sessions held the hash of the password; whoever is signed in signs in once more.
delete from spring_session;
