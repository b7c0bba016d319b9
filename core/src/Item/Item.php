<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;

/** A question: one thing to answer. Prompt, hints, explanation and options are sanitised HTML. */
final readonly class Item
{
    /**
     * @param list<Hint>  $hints      opened one after the other, on asking
     * @param list<Check> $checks     tried before the rule; the first that holds wins
     * @param bool        $confidence students are asked how sure they are
     * @param bool        $working    students may show their working beside the answer
     * @param bool        $onPaper    it stands on a sheet: its options keep their letters, and its key may be given later
     */
    public function __construct(
        public string $title,
        public string $prompt,
        public BigRational $points,
        public Rule $rule,
        public ?string $skill = null,
        public array $hints = [],
        public string $explanation = '',
        public array $checks = [],
        public bool $confidence = false,
        public ?GoBack $goBack = null,
        public bool $working = false,
        public bool $onPaper = false,
    ) {
    }

    public function type(): ItemType
    {
        return $this->rule->type();
    }

    public function withRule(Rule $rule): self
    {
        return new self(
            $this->title,
            $this->prompt,
            $this->points,
            $rule,
            $this->skill,
            $this->hints,
            $this->explanation,
            $this->checks,
            $this->confidence,
            $this->goBack,
            $this->working,
            $this->onPaper,
        );
    }

    public function withPoints(BigRational $points): self
    {
        return new self(
            $this->title,
            $this->prompt,
            $points,
            $this->rule,
            $this->skill,
            $this->hints,
            $this->explanation,
            $this->checks,
            $this->confidence,
            $this->goBack,
            $this->working,
            $this->onPaper,
        );
    }

    /**
     * What becomes of a response: the first check that holds decides, else the rule.
     *
     * @param array<string, mixed> $context further names a check may use: the question's variables, earlier responses
     */
    public function check(Response $response, array $context = []): Outcome
    {
        if ($this->checks === [] || $response->isBlank() || $this->rule->waitsForMarker()) {
            return $this->rule->check($response);
        }
        $names = $this->rule->inputs($response) + $context;
        foreach ($this->checks as $i => $check) {
            if ($check->holds($names)) {
                return $check->line->withWords($check->words($names))->outcome('check '.($i + 1), $this->rule->check($response)->readAs);
            }
        }

        return $this->rule->check($response);
    }

    /**
     * The checks that are passed over for this response since they cannot be worked out, with the reason.
     *
     * @param array<string, mixed> $context as for `check`
     *
     * @return array<int, string> sentences, by the place of the check from 1
     */
    public function passedOver(Response $response, array $context = []): array
    {
        if ($response->isBlank() || $this->rule->waitsForMarker()) {
            return [];
        }
        $names = $this->rule->inputs($response) + $context;
        $passed = [];
        foreach ($this->checks as $i => $check) {
            $why = $check->hindrance($names);
            if ($why !== '') {
                $passed[$i + 1] = $why;
            }
        }

        return $passed;
    }

    /** @return list<BigRational>|null every credit that an answer can earn, by the key or a check; null where they are too many to list */
    public function credits(): ?array
    {
        $credits = $this->rule->credits();
        if ($credits === null) {
            return null;
        }
        $all = [];
        foreach ([...$credits, ...array_map(static fn (Check $c): BigRational => $c->line->credit, $this->checks)] as $credit) {
            $all[(string) $credit->simplified()] = $credit->simplified();
        }

        return array_values($all);
    }

    /** @return list<string> the earlier questions of its section that its checks ask for: q1, q3 */
    public function looksBackTo(): array
    {
        $names = array_merge(...array_map(static fn (Check $c): array => $c->names(), $this->checks));

        return array_values(array_unique(array_filter($names, static fn (string $n): bool => preg_match('/^q[1-9]\d?$/D', $n) === 1)));
    }

    /** @return list<string> ids of every misconception that some response would show */
    public function misconceptions(): array
    {
        return array_values(array_unique([
            ...$this->rule->misconceptions(),
            ...Line::misconceptionsOf(array_map(static fn (Check $c): Line => $c->line, $this->checks)),
        ]));
    }

    /** @return list<string> ids of the files that it shows to a student: of its rule, and pictures in its texts and in what is told */
    public function files(): array
    {
        $files = $this->rule->files();
        $document = $this->toArray();
        array_walk_recursive($document, static function (mixed $text) use (&$files): void {
            array_push($files, ...TextFiles::in(is_string($text) ? $text : ''));
        });

        return array_values(array_unique($files));
    }

    /** @return list<Defect> */
    public function defects(): array
    {
        $defects = $this->rule->defects();
        if (trim(html_entity_decode(strip_tags($this->prompt, '<img><span>'))) === '') {
            $defects[] = Defect::blocking('The prompt is empty.');
        }
        if ($this->points->isZero() && $this->type()->definition()->isScored()) {
            $defects[] = Defect::blocking('The question is worth zero points.');
        }
        if ($this->rule instanceof Rubric) {
            array_push($defects, ...$this->rule->misfits($this->points));
        }
        foreach ($this->hints as $i => $hint) {
            if (trim(strip_tags($hint->text, '<img><span>')) === '') {
                $defects[] = Defect::advice('Hint '.($i + 1).' says nothing.');
            }
        }
        if ($this->costOf(Hint::MOST)->isEqualTo(1)) {
            $defects[] = Defect::advice('Who opens all hints can earn nothing any more.');
        }
        if ($this->skill === null) {
            $defects[] = Defect::advice('No skill is named, so this question says nothing in results by skill.');
        }

        return $defects;
    }

    /**
     * What a student may see of it before it is answered. Nothing in it comes from a key.
     *
     * @return array<string, mixed> a *face* (docs/formats/question.md)
     */
    public function face(Showing $showing): array
    {
        return [
            'type' => $this->type()->value,
            'prompt' => $this->prompt,
            'hints' => array_map(fn (Hint $h): string => NumberText::write($h->cost->multipliedBy($this->points)->simplified()), $this->hints),
            'asksConfidence' => $this->confidence,
            'asksWorking' => $this->working,
            'goBack' => $this->goBack?->toArray(),
        ] + $this->rule->face($this->onPaper ? $showing->asWritten() : $showing);
    }

    /**
     * The same for staff: under the names as they are written.
     *
     * @return array<string, mixed>
     */
    public function writtenFace(): array
    {
        return $this->face(new Showing(Veil::none(), '', '', false));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'version' => ItemReader::VERSION,
            'type' => $this->type()->value,
            'title' => $this->title,
            'prompt' => $this->prompt,
            'points' => (string) $this->points,
            'skill' => $this->skill,
            'hint' => $this->startsFree() ? $this->hints[0]->text : '',
            'explanation' => $this->explanation,
            'rule' => $this->rule->toArray(),
        ] + $this->furtherHints()
            + ($this->checks === [] ? [] : ['checks' => array_map(static fn (Check $c): array => $c->toArray(), $this->checks)])
            + ($this->confidence ? ['confidence' => true] : [])
            + ($this->working ? ['working' => true] : [])
            + ($this->onPaper ? ['onPaper' => true] : [])
            + ($this->goBack === null ? [] : ['goBack' => $this->goBack->toArray()]);
    }

    /**
     * What counts of a credit once so many hints have been opened: what they cost is taken off, and never more than there is.
     * A credit that waits for a marker goes on waiting.
     *
     * @return ($credit is null ? null : BigRational)
     */
    public function afterHints(?BigRational $credit, int $opened): ?BigRational
    {
        if ($credit === null || $opened === 0) {
            return $credit;
        }

        return BigRational::max(BigRational::zero(), $credit->minus($this->costOf($opened)))->simplified();
    }

    /** The share of the question's marks that the first so many hints cost, 0 to 1. */
    public function costOf(int $opened): BigRational
    {
        $costs = array_map(static fn (Hint $h): BigRational => $h->cost, array_slice($this->hints, 0, max(0, $opened)));

        return BigRational::min(BigRational::one(), BigRational::sum(BigRational::zero(), ...$costs))->simplified();
    }

    /** A first hint that costs nothing stands in the document as `hint`, where it stood before hints had steps. */
    private function startsFree(): bool
    {
        return $this->hints !== [] && $this->hints[0]->cost->isZero();
    }

    /** @return array<string, mixed> */
    private function furtherHints(): array
    {
        $further = array_slice($this->hints, $this->startsFree() ? 1 : 0);

        return $further === [] ? [] : ['hints' => array_map(static fn (Hint $h): array => $h->toArray(), $further)];
    }
}
