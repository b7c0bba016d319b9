<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

/** Feedback plans as a handout's conditions carry them. */
final class Plan
{
    public const ON_RETURN = ['verdict' => 'returned'];
    public const AT_ONCE = ['verdict' => 'at once', 'feedback' => 'at once'];
    public const AFTER_HAND_IN = [
        'verdict' => 'handed in',
        'feedback' => 'handed in',
        'marks' => 'handed in',
        'key' => 'handed in',
        'workedAnswer' => 'handed in',
    ];
    public const NOTHING = ['verdict' => 'never', 'feedback' => 'never', 'marks' => 'never', 'key' => 'never', 'workedAnswer' => 'never'];
}
