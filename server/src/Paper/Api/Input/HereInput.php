<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Where in a paper somebody is. */
final readonly class HereInput
{
    /** @param string $part section or entry; empty: at none of them */
    public function __construct(#[Assert\Length(max: 60)] public string $part = '')
    {
    }
}
