<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use ChalkLadder\Core\Marking\Marks;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class TeamInput
{
    public function __construct(
        #[Assert\Choice(Marks::STEPS, message: 'Marks go in steps of 1, a half, a tenth or a hundredth.')]
        public string $markStep = '1/2',
    ) {
    }
}
