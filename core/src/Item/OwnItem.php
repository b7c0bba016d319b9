<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** A question as one student has it: with the numbers that were drawn for them, if it has variables. */
final readonly class OwnItem
{
    /** @param array<string, BigRational|string> $numbers by variable */
    public function __construct(public Item $item, public array $numbers = [])
    {
    }

    /** @param array<string, mixed> $earlier further names for its checks: earlier responses of the section */
    public function check(Response $response, array $earlier = []): Outcome
    {
        return $this->item->check($response, $this->numbers + $earlier);
    }

    /** @return array<int, string> why checks are passed over, by their place from 1 */
    public function passedOver(Response $response): array
    {
        return $this->item->passedOver($response, $this->numbers);
    }
}
