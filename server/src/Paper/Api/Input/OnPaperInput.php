<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** A quiz whose questions stand on a sheet: how many, of which kinds, for how many marks. */
final readonly class OnPaperInput
{
    public const MOST = 100;

    /**
     * @param list<OnPaperLineInput> $lines     in the order of the sheet
     * @param string                 $requestId made by the client, so that a double click makes it once
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give it a name, so that it is found again.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'Keep it to {{ limit }} letters.')]
        public string $title = '',
        #[Assert\Count(min: 1, max: 40, minMessage: 'Say how many questions there are.', maxMessage: 'Keep it to {{ limit }} lines.')]
        #[Assert\Valid]
        public array $lines = [],
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $requestId = '',
    ) {
    }

    #[Assert\Callback]
    public function bound(ExecutionContextInterface $context): void
    {
        if (array_sum(array_column($this->lines, 'count')) > self::MOST) {
            $context->buildViolation(sprintf('A sheet has %d questions at most.', self::MOST))->atPath('lines')->addViolation();
        }
    }
}
