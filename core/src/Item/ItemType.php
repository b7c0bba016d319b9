<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

enum ItemType: string
{
    case Choice = 'choice';
    case Text = 'text';
    case Number = 'number';
    case Open = 'open';
}
