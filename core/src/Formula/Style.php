<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** How a team writes numbers: 1,234.5 with arguments after commas, or 1.234,5 with arguments after semicolons. */
enum Style: string
{
    case Point = 'point';
    case Comma = 'comma';

    public function decimal(): string
    {
        return $this === self::Point ? '.' : ',';
    }

    public function thousands(): string
    {
        return $this === self::Point ? ',' : '.';
    }

    public function separator(): string
    {
        return $this === self::Point ? ',' : ';';
    }
}
