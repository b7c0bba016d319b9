<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use ChalkLadder\Server\Handout\Window;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class HandoutChangeInput
{
    public function __construct(
        public bool $visible = true,
        #[Assert\DateTime(format: 'Y-m-d\TH:i:s.v\Z', message: 'This is not a moment in time.')]
        public ?string $opensAt = null,
        #[Assert\DateTime(format: 'Y-m-d\TH:i:s.v\Z', message: 'This is not a moment in time.')]
        public ?string $closesAt = null,
    ) {
    }

    public function window(): Window
    {
        $moment = static fn (?string $at): ?\DateTimeImmutable => $at === null ? null : new \DateTimeImmutable($at);

        return new Window($this->visible, $moment($this->opensAt), $moment($this->closesAt));
    }
}
