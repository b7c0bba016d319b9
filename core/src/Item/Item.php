<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** A question: one thing to answer. Prompt, hint, explanation and options are sanitised HTML. */
final readonly class Item
{
    /**
     * @param list<Check> $checks     tried before the rule; the first that holds wins
     * @param bool        $confidence students are asked how sure they are
     */
    public function __construct(
        public string $title,
        public string $prompt,
        public BigRational $points,
        public Rule $rule,
        public ?string $skill = null,
        public string $hint = '',
        public string $explanation = '',
        public array $checks = [],
        public bool $confidence = false,
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
            $this->hint,
            $this->explanation,
            $this->checks,
            $this->confidence,
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
            $this->hint,
            $this->explanation,
            $this->checks,
            $this->confidence,
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
            'hasHint' => $this->hint !== '',
            'asksConfidence' => $this->confidence,
        ] + $this->rule->face($showing);
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
            'hint' => $this->hint,
            'explanation' => $this->explanation,
            'rule' => $this->rule->toArray(),
        ] + ($this->checks === [] ? [] : ['checks' => array_map(static fn (Check $c): array => $c->toArray(), $this->checks)])
            + ($this->confidence ? ['confidence' => true] : []);
    }
}
