<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Upload;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;
use ChalkLadder\Core\Item\Showing;

/** Files of the student’s own, marked with a rubric. */
final readonly class UploadRule extends RubricRule
{
    public const KINDS = ['picture', 'pdf', 'sound', 'film', 'document'];
    private const MOST_FILES = 10;
    private const LARGEST = 50;

    /**
     * @param list<Criterion> $criteria
     * @param list<string>    $kinds     of {@see KINDS}
     * @param int             $most      files, 1 to 10
     * @param int             $megabytes of one file, 1 to 50
     */
    public function __construct(array $criteria, public array $kinds, public int $most, public int $megabytes)
    {
        parent::__construct($criteria);
    }

    public static function read(Node $node): self
    {
        $kinds = $node->has('kinds') ? $node->texts('kinds', count(self::KINDS), 10) : ['picture', 'pdf'];
        if (array_diff($kinds, self::KINDS) !== []) {
            $node->fault('kinds', 'Kinds of files are: '.implode(', ', self::KINDS).'.');
        }

        return new self(
            self::criteriaOf($node),
            array_values(array_unique($kinds)),
            $node->int('most', 1, self::MOST_FILES, 3),
            $node->int('megabytes', 1, self::LARGEST, 20),
        );
    }

    public function type(): ItemType
    {
        return ItemType::Upload;
    }

    public function face(Showing $showing): array
    {
        return parent::face($showing) + $this->frame();
    }

    public function toArray(): array
    {
        return parent::toArray() + $this->frame();
    }

    /** @return array{kinds: list<string>, most: int, megabytes: int} */
    private function frame(): array
    {
        return ['kinds' => $this->kinds, 'most' => $this->most, 'megabytes' => $this->megabytes];
    }

    public function defects(): array
    {
        return $this->kinds === []
            ? [...parent::defects(), Defect::blocking('No kind of file is allowed, so nothing can be handed in.')]
            : parent::defects();
    }
}
