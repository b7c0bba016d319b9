<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** What another cut would misplace, against the level that the present one means. */
final readonly class CutView
{
    public function __construct(public string $share, public ShareView $wrong)
    {
    }
}
