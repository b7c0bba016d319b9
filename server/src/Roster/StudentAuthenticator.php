<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\CookieAuthenticator;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Roster\ReadModel\RosterList;

/** Reads the student session cookie. */
final class StudentAuthenticator extends CookieAuthenticator
{
    public function __construct(Sessions $sessions, private readonly RosterList $rosters)
    {
        parent::__construct($sessions);
    }

    protected function cookieName(): string
    {
        return Sessions::STUDENT_COOKIE;
    }

    protected function user(string $token): ?StudentUser
    {
        return $this->sessions->student($token, $this->rosters->signedIn(...));
    }
}
