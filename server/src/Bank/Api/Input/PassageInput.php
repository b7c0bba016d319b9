<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Core\Item\Passage\Passage;
use Symfony\Component\Validator\Constraints as Assert;

/** A passage as it stands in a source. */
final readonly class PassageInput
{
    public function __construct(
        #[Assert\Length(max: Passage::LONGEST, maxMessage: 'This passage is longer than {{ limit }} letters. Draw from a part of it.')]
        public string $html = '',
    ) {
    }
}
