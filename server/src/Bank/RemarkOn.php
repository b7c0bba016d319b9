<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** What colleagues remark on. */
enum RemarkOn: string
{
    case Question = 'item';
    case Paper = 'paper';
}
