<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

final readonly class OwnInvitationsView
{
    /** @param list<OwnInvitationView> $invitations of the student's classes: open ones, and those in which there is something to see */
    public function __construct(public array $invitations)
    {
    }
}
