<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Entity;

use Brick\Math\BigRational;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Server\Identity\SearchLanguage;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use Doctrine\ORM\Mapping as ORM;

/** The teachers of one department, and what is theirs to set. */
#[ORM\Entity]
#[ORM\Table(name: 'team')]
class Team implements Root
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'mark_step', type: 'exact')]
    protected BigRational $markStep;

    #[ORM\Column(type: 'rungs')]
    protected Rungs $rungs;

    #[ORM\Column(name: 'search_language', type: 'text', enumType: SearchLanguage::class)]
    protected SearchLanguage $searchLanguage = SearchLanguage::English;

    /** @var list<string> */
    #[ORM\Column(name: 'framed_by', type: 'json')]
    protected array $framedBy = [];

    public function __construct(
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(name: 'number_style', type: 'text', enumType: Style::class)]
        protected Style $numberStyle = Style::Point,
    ) {
        $this->id = Id::fresh();
        $this->markStep = BigRational::of('1/2');
        $this->rungs = new Rungs();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** The smallest mark. */
    public function markStep(): BigRational
    {
        return $this->markStep;
    }

    public function setMarkStep(BigRational $step, string $by): void
    {
        $this->note(new Acted(
            $this->id,
            $by,
            'set mark step',
            'team',
            $this->id,
            ['from' => (string) $this->markStep, 'to' => (string) $step],
        ));
        $this->markStep = $step;
    }

    /** Past results are read by the new cuts too; groups that were formed stay. */
    public function setRungs(Rungs $rungs, string $by): void
    {
        $this->note(new Acted($this->id, $by, 'set rungs', 'team', $this->id));
        $this->rungs = $rungs;
    }

    public function rungs(): Rungs
    {
        return $this->rungs;
    }

    public function searchLanguage(): SearchLanguage
    {
        return $this->searchLanguage;
    }

    /** Questions are found by its stems at once; those that are there follow in the database. */
    public function setSearchLanguage(SearchLanguage $language, string $by): void
    {
        if ($language !== $this->searchLanguage) {
            $this->note(new Acted(
                $this->id,
                $by,
                'set search language',
                'team',
                $this->id,
                ['from' => $this->searchLanguage->value, 'to' => $language->value],
            ));
            $this->searchLanguage = $language;
        }
    }

    /** @return list<string> origins of the pages that may show the team's work within themselves */
    public function framedBy(): array
    {
        return $this->framedBy;
    }

    /** @param list<string> $origins */
    public function setFramedBy(array $origins, string $by): void
    {
        if ($origins !== $this->framedBy) {
            $this->note(new Acted(
                $this->id,
                $by,
                'set framing pages',
                'team',
                $this->id,
                ['from' => implode(' ', $this->framedBy), 'to' => implode(' ', $origins)],
            ));
            $this->framedBy = $origins;
        }
    }

    public function numberStyle(): Style
    {
        return $this->numberStyle;
    }
}
