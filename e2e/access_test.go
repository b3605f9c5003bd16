package e2e

import (
	"encoding/json"
	"os"
	"sync"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// scanner is the script that looks for what shuts people out.
var scanner = sync.OnceValues(func() ([]byte, error) { return os.ReadFile("../web/node_modules/axe-core/axe.min.js") })

// unlike marks, of all that shows a text, the first of each look: its own kind and colours, those of all that lies
// behind it, and its letters. What looks like another has its contrast. One that holds others is always marked.
const unlike = `(() => {
	const seen = new Set();
	const look = e => { const s = getComputedStyle(e); return [s.backgroundColor, s.backgroundImage, s.opacity, s.filter].join(); };
	const behind = new Map();
	const under = e => {
		if (!e) return '';
		if (!behind.has(e)) behind.set(e, look(e) + '|' + under(e.parentElement));
		return behind.get(e);
	};
	for (const e of document.body.querySelectorAll('*')) {
		if (!e.matches('input, select, textarea') && ![...e.childNodes].some(n => n.nodeType === 3 && n.data.trim())) continue;
		const s = getComputedStyle(e);
		const key = [e.tagName, e.className.baseVal ?? e.className, e.parentElement.className, e.disabled, s.color, s.fontSize,
			s.fontWeight, s.textShadow, s.position, under(e)].join();
		if (e.firstElementChild || !seen.has(key)) e.setAttribute('data-unlike', '');
		seen.add(key);
	}
	axe.configure({rules: [{id: 'color-contrast', selector: '[data-unlike]'}]});
})()`

// isAccessible scans a screen, by day and by night, when only the colours are others, and accepts no serious finding.
// Colours are looked at on what looks different.
func (p *page) isAccessible(at screen) {
	p.t.Helper()
	script, err := scanner()
	require.NoError(p.t, err, "run make web first")
	js[any](p, string(script)+";0")
	for _, look := range [][2]string{{"light", ""}, {"dark", "runOnly: ['color-contrast', 'link-in-text-block'], "}} {
		theme, rules := look[0], look[1]
		js[any](p, "document.documentElement.setAttribute('data-bs-theme', '"+theme+"')")
		p.waitFor("document.getAnimations().length === 0")
		js[any](p, unlike)
		found, err := chromedp.Run(p.ctx, chromedp.Evaluate[string](
			`axe.run(document, {`+rules+`resultTypes: ['violations']}).then(r => JSON.stringify(
				r.violations.filter(v => v.impact === 'serious' || v.impact === 'critical').map(v => ({id: v.id, help: v.help,
					where: v.nodes.slice(0, 4).map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? ''))}))))`,
			chromedp.EvalAwaitPromise))
		require.NoError(p.t, err)
		var serious []struct {
			ID, Help string
			Where    []string
		}
		require.NoError(p.t, json.Unmarshal([]byte(found), &serious))
		assert.Empty(p.t, serious, "%s, %s", at.name, theme)
	}
}
