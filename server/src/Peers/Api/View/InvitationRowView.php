<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

final readonly class InvitationRowView
{
    /**
     * @param int $waiting  questions that wait for a teacher
     * @param int $sentBack that wait for their writers
     * @param int $letIn    that stand in the bank
     */
    public function __construct(
        public string $id,
        public string $topic,
        public string $class,
        public string $openedBy,
        public string $openedAt,
        public bool $open,
        public int $waiting,
        public int $sentBack,
        public int $letIn,
    ) {
    }
}
