<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** No single formula is at fault: they are too many, or too long, together. */
final class EffortSpent extends \RuntimeException
{
}
