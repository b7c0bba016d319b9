<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use ChalkLadder\Server\Handout\Window;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class HandoutChangeInput
{
    private const NO_MOMENT = 'This is not a moment in time.';

    public function __construct(
        public bool $visible = true,
        #[Assert\NotBlank(allowNull: true, message: self::NO_MOMENT)]
        #[Assert\DateTime(format: 'Y-m-d\TH:i:s.v\Z', message: self::NO_MOMENT)]
        public ?string $opensAt = null,
        #[Assert\NotBlank(allowNull: true, message: self::NO_MOMENT)]
        #[Assert\DateTime(format: 'Y-m-d\TH:i:s.v\Z', message: self::NO_MOMENT)]
        public ?string $closesAt = null,
    ) {
    }

    public function window(): Window
    {
        $moment = static fn (?string $at): ?\DateTimeImmutable => $at === null ? null : new \DateTimeImmutable($at);

        return new Window($this->visible, $moment($this->opensAt), $moment($this->closesAt));
    }
}
