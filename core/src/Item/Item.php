<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** A question: one thing to answer. Prompt, hint, explanation and options are sanitised HTML. */
final readonly class Item
{
    public function __construct(
        public string $title,
        public string $prompt,
        public BigRational $points,
        public Rule $rule,
        public ?string $skill = null,
        public string $hint = '',
        public string $explanation = '',
    ) {
    }

    public function type(): ItemType
    {
        return $this->rule->type();
    }

    public function withRule(Rule $rule): self
    {
        return new self($this->title, $this->prompt, $this->points, $rule, $this->skill, $this->hint, $this->explanation);
    }

    public function withPoints(BigRational $points): self
    {
        return new self($this->title, $this->prompt, $points, $this->rule, $this->skill, $this->hint, $this->explanation);
    }

    /** @return list<Defect> */
    public function defects(): array
    {
        $defects = $this->rule->defects();
        if (trim(html_entity_decode(strip_tags($this->prompt, '<img><span>'))) === '') {
            $defects[] = Defect::blocking('The prompt is empty.');
        }
        if ($this->points->isZero()) {
            $defects[] = Defect::blocking('The question is worth zero points.');
        }
        if ($this->skill === null) {
            $defects[] = Defect::advice('No skill is named, so this question says nothing in results by skill.');
        }

        return $defects;
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
        ];
    }
}
