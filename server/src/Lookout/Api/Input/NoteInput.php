<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** Words to one student, or to all. */
final readonly class NoteInput
{
    /**
     * @param string      $id      made by the client, so that one sent twice is written once
     * @param string|null $student id; null for all
     * @param string|null $entry   the question that it is about
     * @param string|null $file    what is spoken, a sound of the team's; then words may be left out
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $id = '',
        #[Assert\NotBlank(allowNull: true)]
        #[Assert\Uuid]
        public ?string $student = null,
        #[Assert\Length(max: 36)]
        public ?string $entry = null,
        #[Assert\Length(max: 500, maxMessage: 'Keep it to {{ limit }} letters.')]
        public string $words = '',
        #[Assert\NotBlank(allowNull: true)]
        #[Assert\Uuid]
        public ?string $file = null,
    ) {
    }

    #[Assert\Callback]
    public function says(ExecutionContextInterface $context): void
    {
        if ($this->file === null && trim($this->words) === '') {
            $context->buildViolation('Write or say something first.')->atPath('words')->addViolation();
        }
    }

    public function student(): ?string
    {
        return $this->student === null ? null : strtolower($this->student);
    }
}
