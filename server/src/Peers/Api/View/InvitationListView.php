<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

final readonly class InvitationListView
{
    /** @param list<InvitationRowView> $invitations open ones first, the newest at the top */
    public function __construct(public array $invitations)
    {
    }
}
