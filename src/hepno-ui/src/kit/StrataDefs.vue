<template>
  <svg width="0" height="0" style="position: absolute" aria-hidden="true">
    <defs>
      <pattern id="st-blank" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="var(--st-blank)" />
        <path d="M0 2.5h5M2.5 0v5" stroke="#b9a97f" stroke-width=".6" />
      </pattern>
      <pattern id="st-decoration" width="4" height="4" patternUnits="userSpaceOnUse">
        <rect width="4" height="4" fill="var(--st-print)" />
      </pattern>
      <pattern id="st-consumables" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="var(--st-consum)" />
        <circle cx="2.5" cy="2.5" r=".9" fill="#2e5f9c" />
      </pattern>
      <pattern id="st-labour" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--st-labour)" />
        <path d="M-1 8 8 -1" stroke="#c9a6cd" stroke-width="1.1" />
      </pattern>
      <pattern id="st-press" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="var(--st-press)" />
        <path d="M0 2h5" stroke="#5f5d57" stroke-width="1" />
      </pattern>
      <pattern id="st-spoilage" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--st-spoil)" />
        <path d="M2 2l3 3M5 2 2 5" stroke="#fcfaf5" stroke-width="1" />
      </pattern>
      <pattern id="st-packing" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="var(--st-pack)" />
        <path d="M2 0v5" stroke="#5e3357" stroke-width=".9" />
      </pattern>
      <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v7" stroke="var(--ink-3)" stroke-width="1.2" />
      </pattern>
    </defs>
  </svg>
</template>
