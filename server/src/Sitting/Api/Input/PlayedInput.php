<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use ChalkLadder\Core\Sitting\Played;
use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\Validator\Constraints as Assert;

/** What one device has played of a sound or a film so far; said again, it counts once. */
final readonly class PlayedInput
{
    /** @param list<int> $times how often each part was played, from the beginning */
    public function __construct(
        #[Assert\Uuid]
        public string $file = '',
        #[Assert\Uuid]
        public string $device = '',
        #[Assert\Range(min: 1, max: Played::LONGEST)]
        public int $millis = 1,
        #[Assert\Count(min: 1, max: Played::MOST_PARTS)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 0, max: Played::MOST_TIMES)])]
        public array $times = [],
    ) {
    }

    public function played(): Played
    {
        try {
            return new Played($this->millis, $this->times);
        } catch (\InvalidArgumentException) {
            throw Problem::invalid(['times' => 'These are not the parts of something so long.']);
        }
    }
}
