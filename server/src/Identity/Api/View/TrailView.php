<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

/** A stretch of the trail, the latest first. */
final readonly class TrailView
{
    /**
     * @param list<TrailLineView> $lines
     * @param list<StaffNameView> $staff everybody of the team
     * @param string|null         $older what to ask with for the stretch before; null where this is the beginning
     */
    public function __construct(public array $lines, public array $staff, public ?string $older)
    {
    }
}
