<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class PadsView
{
    /**
     * @param bool          $open a receiver may speak
     * @param string|null   $key  of the receiver, told once: when it is made
     * @param list<PadView> $pads by number
     */
    public function __construct(public bool $open, public ?string $key, public array $pads)
    {
    }
}
