<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use ChalkLadder\Server\Handout\Window;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class HandoutInput
{
    private const NO_MOMENT = 'This is not a moment in time.';

    /**
     * @param list<string>         $classes    class ids
     * @param list<string>         $students   ids of single students, beside the classes
     * @param array<string, mixed> $conditions
     * @param string               $requestId  made by the client, so that a double click hands out once
     * @param list<string>         $without    ids of students of the classes who are not handed it
     */
    public function __construct(
        #[Assert\Uuid(message: 'Choose a published paper.')]
        #[Assert\NotBlank(message: 'Choose a published paper.')]
        public string $editionId = '',
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        #[Assert\Count(max: 50)]
        public array $classes = [],
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        #[Assert\Count(max: 500)]
        public array $students = [],
        #[\ChalkLadder\Server\Platform\OpenApi\Shape('Conditions')]
        public array $conditions = [],
        public bool $visible = true,
        #[Assert\NotBlank(allowNull: true, message: self::NO_MOMENT)]
        #[Assert\DateTime(format: 'Y-m-d\TH:i:s.v\Z', message: self::NO_MOMENT)]
        public ?string $opensAt = null,
        #[Assert\NotBlank(allowNull: true, message: self::NO_MOMENT)]
        #[Assert\DateTime(format: 'Y-m-d\TH:i:s.v\Z', message: self::NO_MOMENT)]
        public ?string $closesAt = null,
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $requestId = '',
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        #[Assert\Count(max: 500)]
        public array $without = [],
    ) {
    }

    public function window(): Window
    {
        $moment = static fn (?string $at): ?\DateTimeImmutable => $at === null ? null : new \DateTimeImmutable($at);

        return new Window($this->visible, $moment($this->opensAt), $moment($this->closesAt));
    }
}
