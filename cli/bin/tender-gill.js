#!/usr/bin/env node
import '../dist/tender-gill.js'
