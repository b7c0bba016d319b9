<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Platform\Storage\Acted;
use Doctrine\ORM\Mapping as ORM;

/**
 * A skill, misconception or question that turned out to be the same as another one. It stays, so that what was answered under its name
 * can still be counted, and knows what was written anew, so that it can be taken apart again.
 *
 * @phpstan-type Rewritten array{questions: array<string, int>, children: list<string>, papers: list<string>}
 */
trait Merged
{
    #[ORM\Column(name: 'merged_into', type: 'guid', nullable: true)]
    protected ?string $mergedInto = null;

    /** @var Rewritten|null questions: the version that the merge gave each; papers: drafts that named this one alone */
    #[ORM\Column(name: 'merged_what', type: 'json', nullable: true)]
    protected ?array $mergedWhat = null;

    public function mergedInto(): ?string
    {
        return $this->mergedInto;
    }

    /** @param Rewritten $what */
    public function mergeInto(string $into, array $what, string $by): void
    {
        $this->mergedInto = $into;
        $this->mergedWhat = $what;
        $this->note(new Acted($this->teamId, $by, 'merge', self::KIND, $this->id, ['into' => $into]));
    }

    /** @return Rewritten what had been written anew */
    public function takeApart(string $by): array
    {
        $what = $this->mergedWhat ?? ['questions' => [], 'children' => [], 'papers' => []];
        $this->mergedInto = $this->mergedWhat = null;
        $this->note(new Acted($this->teamId, $by, 'take apart', self::KIND, $this->id));

        return $what;
    }

    /**
     * What it was put together with has itself become another.
     *
     * @param list<string> $mixed drafts in which that cannot be told from the other any more
     */
    public function follow(string $into, array $mixed): void
    {
        $this->mergedInto = $into;
        if ($this->mergedWhat !== null) {
            $this->mergedWhat['papers'] = array_values(array_diff($this->mergedWhat['papers'], $mixed));
        }
    }
}
