<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class RosterStudentView
{
    /**
     * @param SupportView|null $support nothing where none is given
     * @param bool             $account whether they have taken an account of their own
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $joinedAt,
        public ?SupportView $support,
        public bool $account,
    ) {
    }
}
