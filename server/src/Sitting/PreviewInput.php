<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Symfony\Component\Validator\Constraints as Assert;

/** A preview has no state on the server: the device sends all that was done so far. */
final readonly class PreviewInput
{
    /**
     * @param list<SaveInput>  $saves   every answer so far
     * @param list<StepInput>  $settled the steps that were settled
     * @param list<StepInput>  $hints   the hints that were opened
     * @param int              $left    how many passes have been left
     */
    public function __construct(
        public string $feedback = 'at once',
        #[Assert\Valid]
        #[Assert\Count(max: 300)]
        public array $saves = [],
        #[Assert\Valid]
        #[Assert\Count(max: 300)]
        public array $settled = [],
        #[Assert\Valid]
        #[Assert\Count(max: 300)]
        public array $hints = [],
        #[Assert\Range(min: 0, max: 200)]
        public int $left = 0,
        public bool $handedIn = false,
    ) {
    }
}
