<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** What is drawn on. */
final class Ground
{
    public const KINDS = ['blank', 'squared', 'graph', 'isometric', 'picture'];
}
