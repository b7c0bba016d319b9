<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

/** The memory that {@see Root} asks for. */
trait Happenings
{
    /** @var list<object> */
    private array $happenings = [];

    /** @return list<object> */
    public function happened(): array
    {
        $happenings = $this->happenings;
        $this->happenings = [];

        return $happenings;
    }

    protected function note(object $event): void
    {
        $this->happenings[] = $event;
    }
}
