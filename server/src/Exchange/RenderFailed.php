<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

final class RenderFailed extends \RuntimeException
{
    public function __construct(string $message, public readonly bool $cancelled = false, ?\Throwable $previous = null)
    {
        parent::__construct($message, 0, $previous);
    }
}
