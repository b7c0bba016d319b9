<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SavesInput
{
    /**
     * @param list<SaveInput> $saves
     * @param string|null     $at    the entry the student is at now
     */
    public function __construct(
        #[Assert\Valid]
        #[Assert\Count(max: 100, maxMessage: 'At most {{ limit }} answers at once.')]
        public array $saves = [],
        #[Assert\Length(max: 36)]
        public ?string $at = null,
    ) {
    }
}
