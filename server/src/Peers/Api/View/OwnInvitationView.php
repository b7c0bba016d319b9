<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

final readonly class OwnInvitationView
{
    /**
     * @param list<OwnProposalView>  $own
     * @param list<PeerQuestionView> $others that a teacher shows to the class
     */
    public function __construct(
        public string $id,
        public string $topic,
        public bool $open,
        public array $own,
        public array $others,
    ) {
    }
}
