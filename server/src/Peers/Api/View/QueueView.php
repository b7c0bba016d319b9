<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

final readonly class QueueView
{
    /** @param list<ProposalView> $proposals those that wait for a teacher first */
    public function __construct(public InvitationRowView $invitation, public array $proposals)
    {
    }
}
