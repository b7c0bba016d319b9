<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

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
        #[Assert\Regex(pattern: '#^(0|1|0?\.\d{1,6}|\d{1,4}/[1-9]\d{0,3})$#', message: 'Credit is a number from 0 to 1, such as 1/2.')]
        public string $credit = '1',
        #[Assert\Length(max: 500)]
        public string $feedback = '',
        #[Assert\Length(max: 500)]
        public string $reason = '',
    ) {
    }
}
