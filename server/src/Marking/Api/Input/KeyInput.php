<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\Input;

use Brick\Math\BigRational;
use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

/** A new answer rule for a question, either whole or as "accept this answer too". */
final readonly class KeyInput
{
    /**
     * @param array<string, mixed>|null $rule
     * @param array<string, mixed>|null $accept   the response that is to be accepted
     * @param string                    $credit   what an accepted response earns
     */
    public function __construct(
        #[Shape('AnyRule')]
        public ?array $rule = null,
        #[Shape('Response')]
        public ?array $accept = null,
        #[Assert\Regex(pattern: Credit::PATTERN, message: Credit::MESSAGE)]
        #[Assert\NotBlank(message: Credit::MESSAGE)]
        public string $credit = '1',
        #[Assert\Length(max: 500)]
        public string $feedback = '',
        #[Assert\Length(max: 500)]
        public string $reason = '',
    ) {
    }

    public function exactCredit(): BigRational
    {
        return Credit::read($this->credit);
    }
}
